<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * How hot the outer part, or how cold the inner one, for it to drop in; and what each cold source leaves to be done.
 */
final readonly class Shrink
{
    /**
     * @param  float  $heatOuterToC  the outer part alone
     * @param  ?float  $chillInnerToC  the inner part alone; null where even liquid nitrogen does not do it
     * @param  ?bool  $heatAllowed  null where the outer part's highest temperature is not known
     * @param  list<array{code: string, name: string, celsius: float, opens_mm: float, left_mm: float, heat_outer_to_c: float}>  $cold  by each source: how far the inner part shrinks, the interference left at the tight end (0: it drops in with the clearance), and how hot the outer part must be beside
     * @param  list<Note>  $notes
     */
    private function __construct(
        public float $clearanceMm,
        public float $heatOuterToC,
        public ?float $chillInnerToC,
        public ?bool $heatAllowed,
        public array $cold,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * Heat: room + (δ_max + c)/(α_o d). Chill by the same with the inner part's mean contraction (Expansion).
     *
     * @param  float  $diameterMm  above 0
     * @param  float  $interferenceMaxMm  at the tight end, 0 or more
     * @param  float  $roomC  what both lie at
     * @param  ?float  $clearanceMm  wanted on assembly; default max(d/1000, 0.02)
     *
     * Source: linear expansion; clearance and caps common practice.
     *
     * @throws BadInput for a size that can't be or a material without its expansion
     */
    public static function of(
        float $diameterMm,
        float $interferenceMaxMm,
        Material $inner,
        Material $outer,
        float $roomC,
        ?float $clearanceMm = null,
    ): self {
        if (! is_finite($diameterMm) || $diameterMm <= 0) {
            throw new BadInput('out-of-range', 'd_mm', 'The joint diameter must be above zero.');
        }
        if (! is_finite($interferenceMaxMm) || $interferenceMaxMm < 0 || $interferenceMaxMm > $diameterMm / 10) {
            throw new BadInput(
                'out-of-range',
                'interference_max_mm',
                'The interference must be from 0 to a tenth of the diameter.',
            );
        }
        if ($roomC < -30 || $roomC > 60) {
            throw new BadInput('temperature', 'room_c', 'A shop is between −30 and 60 °C. Check the temperature.');
        }
        if ($clearanceMm !== null && (! is_finite($clearanceMm) || $clearanceMm < 0)) {
            throw new BadInput('out-of-range', 'clearance_mm', 'The clearance on assembly is zero or more.');
        }
        foreach (['inner' => $inner, 'outer' => $outer] as $which => $material) {
            if ($material->alphaPerK === null || $material->alphaPerK <= 0) {
                throw new BadInput(
                    'material',
                    "{$which}.alpha_per_k",
                    "How far the {$which} part’s material expands is needed, above zero.",
                );
            }
        }
        $alphaInner = (float) $inner->alphaPerK;
        $alphaOuter = (float) $outer->alphaPerK;
        $clearance = $clearanceMm ?? max($diameterMm / 1000, 0.02);
        $needed = ($interferenceMaxMm + $clearance) / $diameterMm;
        $heat = $roomC + $needed / $alphaOuter;
        $chill = self::chill($alphaInner, $needed, $roomC);
        $allowed = $outer->heatToC === null ? null : $heat <= $outer->heatToC;
        $cold = [];
        foreach (Table::rows('cold-sources') as $row) {
            /** @var array{code: string, name: string, celsius: float|int} $row */
            $celsius = (float) $row['celsius'];
            $opens = $diameterMm * (Expansion::strain($alphaInner, $roomC) - Expansion::strain($alphaInner, $celsius));
            $cold[] = [
                'code' => $row['code'],
                'name' => $row['name'],
                'celsius' => $celsius,
                'opens_mm' => $opens,
                'left_mm' => max(0.0, $interferenceMaxMm - $opens),
                'heat_outer_to_c' => $roomC + max(0.0, $needed - $opens / $diameterMm) / $alphaOuter,
            ];
        }

        return new self(
            clearanceMm: $clearance,
            heatOuterToC: $heat,
            chillInnerToC: $chill,
            heatAllowed: $allowed,
            cold: $cold,
            notes: self::notes($heat, $chill, $allowed, $outer),
            working: new Working([
                new WorkingStep(
                    'Gap to open',
                    'δ_max + c',
                    Say::with('{d} + {c} on {s}', [
                        'd' => LengthWriter::difference($interferenceMaxMm),
                        'c' => LengthWriter::difference($clearance),
                        's' => LengthWriter::sizeInWords($diameterMm),
                    ]),
                    'clearance on assembly d/1000, at least 0.02 mm: common practice',
                ),
                new WorkingStep(
                    'Heat the outer part to',
                    'T = T_room + (δ_max + c)/(α_o d)',
                    Say::plain(sprintf('%.1f + %.6f / %.2e = %.1f °C', $roomC, $needed, $alphaOuter, $heat)),
                    'linear expansion',
                ),
                new WorkingStep(
                    'Chill the inner part to',
                    'the same with α_i, its mean about a quarter lower by −196 °C',
                    Say::plain(
                        $chill === null
                            ? 'not even liquid nitrogen is cold enough'
                            : str_replace('-', '−', sprintf('%.1f °C', $chill)),
                    ),
                    'general handbook knowledge',
                ),
            ]),
        );
    }

    /** From the room's temperature, not from 20 °C. */
    private static function chill(float $alpha, float $strain, float $roomC): ?float
    {
        $from = Expansion::strain($alpha, $roomC);
        if ($from - $strain >= 0) {
            return 20 + ($from - $strain) / $alpha;
        }

        return Expansion::chilledBy($alpha, $strain - $from);
    }

    /** @return list<Note> */
    private static function notes(float $heat, ?float $chill, ?bool $allowed, Material $outer): array
    {
        $notes = [];
        if ($allowed === false) {
            $notes[] = Note::stop(
                'too-hot',
                sprintf(
                    '%.0f °C is more than %s stands (%.0f °C): heat it less and chill the other, or take a lighter fit.',
                    ceil($heat),
                    $outer->name,
                    (float) $outer->heatToC,
                ),
            );
        } elseif ($allowed === null) {
            $notes[] = Note::caution('heat-unknown', 'How hot the outer part may get is not known.');
        }
        if ($chill === null) {
            $notes[] = Note::info('cold-not-enough', 'Cold alone does not open it: warm the outer part too.');
        } elseif ($chill < -100) {
            $notes[] = Note::caution(
                'nitrogen',
                'Liquid nitrogen: open air or forced ventilation, goggles and loose gloves, never a closed vessel; hardened steel may turn brittle in it.',
            );
        }
        $notes[] = Note::info('one-go', 'One go, stop at the shoulder, no second try: it grips in seconds.');

        return $notes;
    }
}
