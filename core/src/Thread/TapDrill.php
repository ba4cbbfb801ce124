<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Drills;
use Oldpart\Core\Quantity\Band;

/** The drill for a share of a full thread, and the share a drill gives; mm. */
final readonly class TapDrill
{
    /** Above this it taps hard, common practice; near a full thread the tap breaks. */
    private const HARD = 85.0;

    private const BREAKS = 100.0;

    private function __construct(public float $majorMm, public float $pitchMm, public ThreadForm $form)
    {
    }

    /** @throws BadInput for a thread that is none */
    public static function of(float $majorMm, float $pitchMm, ThreadForm $form): self
    {
        if (! ($majorMm > 0)) {
            throw new BadInput('major', 'major_mm', 'The outside of the thread must be above zero.');
        }
        if (! ($pitchMm > 0) || ! ($form->full() * $pitchMm < $majorMm)) {
            throw new BadInput('pitch', 'pitch_mm', 'The pitch must be above zero and leave metal inside the thread.');
        }

        return new self($majorMm, $pitchMm, $form);
    }

    /**
     * D − full · P · share/100. Source: common handbooks.
     *
     * @throws BadInput for a share that is none
     */
    public function drillMm(float $percent): float
    {
        if (! ($percent > 0 && $percent <= 120)) {
            throw new BadInput('percent', 'percent', 'A share of a thread is above 0 and up to 100; 70 is plenty.');
        }

        return $this->majorMm - ($this->form->full() * $this->pitchMm * $percent) / 100;
    }

    /**
     * @throws BadInput for a drill as large as the thread
     */
    public function percent(float $drillMm): float
    {
        if (! ($drillMm > 0) || ! ($drillMm < $this->majorMm)) {
            throw new BadInput('drill', 'drill_mm', 'The drill must be above zero and below the outside of the thread.');
        }

        return (100 * ($this->majorMm - $drillMm)) / ($this->form->full() * $this->pitchMm);
    }

    /** @return list<Note> */
    public static function notes(float $percent): array
    {
        return match (true) {
            $percent >= self::BREAKS => [
                Note::stop(
                    'tap-breaks',
                    'That leaves no room for the tap: it breaks. Take a larger drill; 70 of 100 hold nearly as much.',
                ),
            ],
            $percent > self::HARD => [
                Note::caution('taps-hard', 'Over 85 of 100 the tap goes hard and may break. 70 hold nearly as much.'),
            ],
            default => [],
        };
    }

    /**
     * Real drills that leave the hole within limits, those nearest to a share of the thread first; where none does, the
     * nearest of all.
     *
     * @param  ?Band  $within  limits of the hole; null: none are known
     * @param  float  $percent  of a full thread that is aimed at, above 0 and up to 120
     * @param  int  $most  how many, 1 or more
     * @return non-empty-list<array{label: string, mm: float, percent: float}>
     *
     * @throws BadInput for a thread no drill is small enough for
     */
    public function inside(?Band $within, float $percent, int $most): array
    {
        $aim = $this->drillMm($percent);
        $near = $this->near($within === null ? $aim : max($within->lowerMm, min($within->upperMm, $aim)), 40);
        $good = array_values(array_filter($near, static fn (array $d): bool => $within?->holds($d['mm']) ?? true));
        $found = array_slice($good === [] ? array_slice($near, 0, 1) : $good, 0, max(1, $most));

        return $found !== []
            ? $found
            : throw new BadInput('no-drill', 'shape', 'No drill is as small as the hole of such a thread. Check its size and unit.');
    }

    /**
     * Real drills, the nearest first: numbers, letters, sixty-fourths and tenths of a millimetre.
     *
     * @return list<array{label: string, mm: float, percent: float}>
     */
    public function near(float $mm, int $most = 4): array
    {
        $drills = array_filter(Drills::all(), fn (float $d): bool => $d < $this->majorMm);
        uasort($drills, static fn (float $a, float $b): int => abs($a - $mm) <=> abs($b - $mm));
        $near = [];
        foreach (array_slice($drills, 0, $most, true) as $label => $its) {
            $near[] = ['label' => (string) $label, 'mm' => $its, 'percent' => $this->percent($its)];
        }

        return $near;
    }
}
