<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shaft\RunOut;

final class RunOutSum implements Sum
{
    public function name(): string
    {
        return 'run-out';
    }

    public function says(): string
    {
        return 'How work runs in the chuck, by an indicator at two places four ways round: off, aslant, which end to move first.';
    }

    public function example(): array
    {
        return [
            'near_mm' => [0.02, 0.0, -0.02, 0.0],
            'far_mm' => [0.02, 0.05, -0.02, -0.05],
            'apart_mm' => 80.0,
            'limit_mm' => 0.01,
        ];
    }

    public function takes(): array
    {
        return ['near_mm', 'far_mm', 'apart_mm', 'limit_mm'];
    }

    public function run(Fields $in): array
    {
        $run = new RunOut(self::four($in, 'near_mm'), self::four($in, 'far_mm'), $in->number('apart_mm'));
        $place = static fn (float $mm, float $deg): Say => Say::with('{o} toward '.round($deg, 1).'°', [
            'o' => LengthWriter::difference($mm),
        ]);

        $limit = $in->numberOrNull('limit_mm');
        if ($limit !== null && ! ($limit > 0)) {
            throw $in->bad('limit_mm', 'must be above zero, or left empty.');
        }

        return [
            'true_enough' => $limit === null
                ? null
                : max($run->nearMm, $run->farMm, abs($run->ovalMm), abs($run->taperMm)) <= $limit,
            'near_offset_mm' => $run->nearMm,
            'near_direction_deg' => $run->nearDeg,
            'near_swing_mm' => 2 * $run->nearMm,
            'far_offset_mm' => $run->farMm,
            'far_direction_deg' => $run->farDeg,
            'far_swing_mm' => 2 * $run->farMm,
            'lean_deg' => $run->leanDeg,
            'oval_mm' => $run->ovalMm,
            'taper_mm' => $run->taperMm,
            'notes' => [
                ...$limit === null ? [] : self::against($run, $limit),
                Note::info('near-first', Say::with('Nearest the jaws first, by the jaws: it lies {n}. Then tap the far end, which lies {f}; then read both again, for each moves the other.', [
                    'n' => $place($run->nearMm, $run->nearDeg),
                    'f' => $place($run->farMm, $run->farDeg),
                ])),
                ...abs($run->ovalMm) > max($run->nearMm, $run->farMm) && abs($run->ovalMm) > 0.005
                    ? [Note::caution('oval', 'It is more out of round than off: no setting makes it run true. Turn or grind it, or set it by what has to run true.')]
                    : [],
            ],
            'working' => [
                new WorkingStep('Off the axis', '½(r₀ − r₁₈₀), ½(r₉₀ − r₂₇₀); lean = difference of the two over what they are apart', LengthWriter::difference($run->farMm), 'first harmonic of four readings'),
            ],
        ];
    }

    /** @return list<Note> which of them are over the limit */
    private static function against(RunOut $run, float $limit): array
    {
        $over = [];
        $each = [
            'off near the jaws' => $run->nearMm,
            'off at the far end' => $run->farMm,
            'out of round' => abs($run->ovalMm),
            'tapered' => abs($run->taperMm),
        ];
        foreach ($each as $what => $mm) {
            if ($mm > $limit) {
                $over[] = Say::with("{$what} by {o}", ['o' => LengthWriter::difference($mm)]);
            }
        }
        if ($over === []) {
            return [Note::info('true', Say::with('True enough: nothing is over {l}.', ['l' => LengthWriter::difference($limit)]))];
        }
        $said = [];
        foreach ($over as $i => $say) {
            $said["o{$i}"] = $say;
        }
        $list = implode(', ', array_map(static fn (string $key): string => '{'.$key.'}', array_keys($said)));

        return [Note::caution('not-true', Say::with("Over {l}: {$list}.", ['l' => LengthWriter::difference($limit), ...$said]))];
    }

    /** @return array{float, float, float, float} */
    private static function four(Fields $in, string $name): array
    {
        $read = $in->numbers($name);
        if (count($read) !== 4) {
            throw $in->bad($name, 'must be four readings: at 0°, 90°, 180° and 270°.');
        }

        return [$read[0], $read[1], $read[2], $read[3]];
    }
}
