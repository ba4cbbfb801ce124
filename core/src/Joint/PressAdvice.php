<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** What to beware of in a press fit, and how its numbers were found. */
final class PressAdvice
{
    /** Advised against cracking a brittle ring, and where the casting is old, ribbed, split or unknown. Common practice. */
    private const BRITTLE_FACTOR = 2.5;

    private const OLD_CASTING_FACTOR = 4.0;

    private const YIELD_FACTOR = 1.3;

    /** A wall under 1 mm, or under 1/20 of the diameter, is thin. Common practice. */
    public static function isThin(float $wallMm, float $diameterMm): bool
    {
        return $wallMm < 1.0 || $wallMm < $diameterMm / 20;
    }

    /** @return list<Note> */
    public static function notes(PressFit $fit, Range $effective, ?float $outerFactor, ?float $innerFactor): array
    {
        return [
            ...self::hold($fit, $effective),
            ...self::strength($fit, $outerFactor, $innerFactor),
            ...self::walls($fit),
            ...($fit->backing === null ? [] : [Note::info('in-a-housing', 'The part around it is itself pressed into another, which stiffens it: reckoned with that. Read its bore once it is in place, as it closes there; and what is around both is pulled by both.')]),
        ];
    }

    /** @return list<Note> */
    private static function hold(PressFit $fit, Range $effective): array
    {
        $notes = [];
        if ($fit->rzInnerUm === null || $fit->rzOuterUm === null) {
            $notes[] = Note::info('roughness-unknown', 'Roughness is not given and counts as zero: rough surfaces flatten and hold less.');
        }
        if ($effective->max <= 0) {
            $notes[] = Note::stop('no-interference', 'There is no interference at all: it does not grip.');
        } elseif ($effective->min <= 0) {
            $notes[] = Note::caution('may-be-loose', 'At the loose end nothing grips: pin it, key it or bond it, or ask for more interference.');
        }
        if ($fit->inner->family === 'plastic' || $fit->outer->family === 'plastic') {
            $notes[] = Note::caution('creep', 'Plastic creeps: a press fit in it relaxes within weeks. Hold it another way.');
        }

        return $notes;
    }

    /** @return list<Note> */
    private static function strength(PressFit $fit, ?float $outerFactor, ?float $innerFactor): array
    {
        $notes = [];
        $outer = $fit->outer;
        if ($outerFactor === null && $fit->interferenceMm->max > 0) {
            $notes[] = Note::caution('outer-unknown', 'How much the outer part stands is not known. Test it, or bond instead of pressing.');
        } elseif ($outerFactor !== null && $outer->brittle) {
            $short = number_format($outerFactor, 1);
            if ($outerFactor < 1) {
                $notes[] = Note::stop('outer-cracks', "The outer part cracks: its pull at the tight end is past what {$outer->name} stands (factor {$short}). Don't press; bond it, or sleeve it.");
            } elseif ($outerFactor < self::BRITTLE_FACTOR) {
                $notes[] = Note::stop('outer-may-crack', "The outer part may crack: factor {$short}, and at least 2.5 is advised for a brittle ring. Take less interference, or bond it.");
            } elseif ($outerFactor < self::OLD_CASTING_FACTOR) {
                $notes[] = Note::caution('outer-old-casting', "Factor {$short} against cracking: fine for a sound round boss; 4 is advised where the casting is old, ribbed, split or unknown.");
            }
            $notes[] = Note::info('brittle-housing', 'The outer part is brittle: press slowly and straight, stand aside, and stop if the force jumps.');
        } elseif ($outerFactor !== null) {
            array_push($notes, ...self::ductile('outer', 'outer part', $outerFactor));
            $plastic = ThickRing::plasticPressure($fit);
            if ($outerFactor < 1 && $plastic !== null) {
                $holds = $fit->friction->low * $plastic * M_PI * $fit->diameterMm * $fit->lengthMm * $fit->diameterMm / 2000;
                $notes[] = Note::info('outer-plastic', 'Once it gives all round it presses with no more than about '.number_format($plastic, 0).' MPa, and holds '.number_format($holds, 0).' N·m at most, however tight it is made.');
            }
        }
        if ($innerFactor !== null) {
            array_push($notes, ...self::ductile('inner', 'inner part', $innerFactor));
        }

        return $notes;
    }

    /** @return list<Note> */
    private static function ductile(string $code, string $name, float $factor): array
    {
        $short = number_format($factor, 2);

        return match (true) {
            $factor < 1 => [Note::stop("{$code}-yields", "The {$name} yields at the tight end (factor {$short}): it gives, the pressure stops rising, and the elastic numbers here are too high. Take less interference.")],
            $factor < self::YIELD_FACTOR => [Note::caution("{$code}-near-yield", "The {$name} is near yielding at the tight end (factor {$short}).")],
            default => [],
        };
    }

    /** @return list<Note> */
    private static function walls(PressFit $fit): array
    {
        $notes = [];
        $inner = $fit->innerWallMm();
        if ($inner !== null && self::isThin($inner, $fit->diameterMm)) {
            $notes[] = Note::caution('thin-wall', Say::with('Thin wall, {wall}: finish the bore after pressing, or bond instead.', ['wall' => LengthWriter::difference($inner)]));
        }
        if (self::isThin($fit->outerWallMm(), $fit->diameterMm)) {
            $notes[] = Note::caution('thin-housing', Say::with('The wall round the bore is thin, {wall}: it stretches more than it grips. Bond instead.', ['wall' => LengthWriter::difference($fit->outerWallMm())]));
        }

        return $notes;
    }

    public static function working(PressFit $fit, Range $effective, float $stiffness, Range $pressure, Range $closing, Range $axial, Range $torque, ?float $outerFactor): Working
    {
        $r = static fn (Range $x, int $places = 1): string => number_format($x->min, $places).' to '.number_format($x->max, $places);
        $d = static fn (float $mm): Say => LengthWriter::difference($mm);
        $lame = 'Lamé thick cylinders; Shigley, press and shrink fits';
        $steps = [
            new WorkingStep('Interference that works', 'δ − 0.8 (Rz_i + Rz_o), never below 0', Say::with('{a} to {b}', ['a' => $d($effective->min), 'b' => $d($effective->max)]), 'DIN 7190-1'),
            $fit->backing !== null
                ? new WorkingStep('Pressure in the joint', 'p = δ × stiffness of all three rings', Say::with('{k} MPa per 0.01 mm with the housing round it, p = {p} MPa', ['k' => number_format($stiffness / 100, 2), 'p' => $r($pressure)]), 'Lamé thick cylinders, both joints at once')
                : new WorkingStep(
                    'Pressure in the joint',
                    'p = δ / { d [ (1/E_o)((d_o² + d²)/(d_o² − d²) + ν_o) + (1/E_i)((d² + d_i²)/(d² − d_i²) − ν_i) ] }',
                    Say::with('d {d}, d_i {i}, d_o {o}, E_o {eo} GPa, ν_o {no}, E_i {ei} GPa, ν_i {ni}: {k} MPa per 0.01 mm, p = {p} MPa', [
                        'd' => LengthWriter::size($fit->diameterMm), 'i' => LengthWriter::size($fit->innerBoreMm), 'o' => LengthWriter::size($fit->outerOdMm),
                        'eo' => (string) $fit->outer->eGpa, 'no' => (string) $fit->outer->nu, 'ei' => (string) $fit->inner->eGpa, 'ni' => (string) $fit->inner->nu,
                        'k' => number_format($stiffness / 100, 2), 'p' => $r($pressure),
                    ]),
                    $lame,
                ),
            new WorkingStep('Pull in the outer part', $fit->backing === null ? 'σ = p (d_o² + d²)/(d_o² − d²)' : 'σ = p × what of it the housing leaves', $r($pressure->times(ThickRing::outerRatio($fit))).' MPa'.($outerFactor === null ? '' : ', factor '.number_format($outerFactor, 1).' at the tight end'), $lame),
        ];
        if ($fit->isHollow()) {
            $steps[] = new WorkingStep('The bore closes', 'Δ = 2 p d² d_i / (E_i (d² − d_i²))', Say::with('{a} to {b}', ['a' => $d($closing->min), 'b' => $d($closing->max)]), $lame);
        }
        $steps[] = new WorkingStep('Holds along the axis', 'F = μ p π d L', "μ {$fit->friction->low} to {$fit->friction->high}: ".$r($axial->times(0.001)).' kN', $fit->friction->source);
        $steps[] = new WorkingStep('Holds against turning', 'T = F d / 2', $r($torque).' N·m', 'statics');

        return new Working($steps);
    }
}
