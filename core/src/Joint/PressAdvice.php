<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** What to beware of in a press fit, and how its numbers were found. */
final class PressAdvice
{
    /**
     * Advised against cracking a brittle ring, and where the casting is old, ribbed, split or unknown. Common practice.
     */
    private const BRITTLE_FACTOR = 2.5;

    private const OLD_CASTING_FACTOR = 4.0;

    private const YIELD_FACTOR = 1.3;

    /** Asked of what a joint must hold, where the load is steady. Common practice. */
    public const HOLD_FACTOR = 1.5;

    /** What may be asked of a part that is pulled: of its yield, or of a brittle one's strength. */
    public static function enough(Material $outer): float
    {
        return $outer->brittle ? self::BRITTLE_FACTOR : self::YIELD_FACTOR;
    }

    /** A wall under 1 mm, or under 1/20 of the diameter, is thin. Common practice. */
    public static function isThin(float $wallMm, float $diameterMm): bool
    {
        return $wallMm < 1.0 || $wallMm < $diameterMm / 20;
    }

    /**
     * @param  Range  $effective  on the mean of the mate, mm
     * @param  Range  $grip  from what is sure at the loosest spot, cold or warm, to the most at the tightest, mm
     * @return list<Note>
     */
    public static function notes(
        PressFit $fit,
        Range $effective,
        Range $grip,
        ?float $outerFactor,
        ?float $innerFactor,
    ): array {
        return [
            ...self::rough($fit),
            ...self::hold($fit, $effective, $grip),
            ...self::warm($fit),
            ...self::strength($fit, $outerFactor, $innerFactor),
            ...self::walls($fit),
            ...$fit->backing === null
                ? []
                : [
                    Note::info(
                        'in-a-housing',
                        'The part around it is itself pressed into another, which stiffens it: reckoned with that. Read its bore once it is in place, as it closes there; and what is around both is pulled by both.',
                    ),
                ],
        ];
    }

    /** @return list<Note> */
    private static function rough(PressFit $fit): array
    {
        if (! $fit->roughInner->counted || ! $fit->roughOuter->counted) {
            return [
                Note::info(
                    'roughness-unknown',
                    'Roughness is not given and counts as zero: rough surfaces flatten and hold less.',
                ),
            ];
        }
        $loss = Roughness::loss($fit->roughInner, $fit->roughOuter);
        $inner = $fit->roughInner->assumed ? "the inner part is taken as {$fit->roughInner->says}" : null;
        $outer = match (true) {
            ! $fit->roughOuter->assumed => null,
            $inner === null => "the outer part is taken as {$fit->roughOuter->says}",
            default => "the outer part as {$fit->roughOuter->says}",
        };
        $sides = array_filter([$inner, $outer], is_string(...));

        return $sides === []
            ? []
            : [
                Note::info(
                    'roughness-assumed',
                    Say::with(
                        'The finish is not said: '.
                            implode(', ', $sides).
                            '. Peaks flatten by up to {b}, which is not there to grip. Say at Survey how each surface is finished, and it holds more for sure.',
                        ['b' => LengthWriter::difference($loss->max)],
                    ),
                ),
            ];
    }

    /** @return list<Note> */
    private static function hold(PressFit $fit, Range $effective, Range $grip): array
    {
        $notes = [];
        $form = $fit->form->wholeMm();
        if ($effective->max <= 0) {
            $notes[] = Note::stop('no-interference', 'There is no interference at all: it does not grip.');
        } elseif ($form > 0 && $form > $fit->interferenceMm->max) {
            $notes[] = Note::stop(
                'form-exceeds',
                Say::with(
                    'The mate is out by {form}, more than the tightest the fit makes it, {i}: tight in one place and loose in another. True it up, or bond it.',
                    [
                        'form' => LengthWriter::difference($form),
                        'i' => LengthWriter::difference($fit->interferenceMm->max),
                    ],
                ),
            );
        } elseif ($effective->min <= 0) {
            $notes[] = Note::caution(
                'may-be-loose',
                'At the loose end nothing grips: pin it, key it or bond it, or ask for more interference.',
            );
        } elseif ($effective->min - $fit->form->looserMm <= 0) {
            $notes[] = Note::caution(
                'form-loose',
                Say::with(
                    'At its loosest spot, {f} off the mean, nothing is sure to grip: count on the rest of the length alone, or bond it.',
                    ['f' => LengthWriter::difference($fit->form->looserMm)],
                ),
            );
        }
        if ($fit->inner->family === 'plastic' || $fit->outer->family === 'plastic') {
            $notes[] = Note::caution(
                'creep',
                'Plastic creeps: a press fit in it relaxes within weeks. Hold it another way.',
            );
        }

        return $notes;
    }

    /**
     * What running warm does to the grip.
     *
     * @return list<Note>
     */
    private static function warm(PressFit $fit): array
    {
        $at = number_format($fit->runsAtC).' °C';
        $warm = $fit->warmMm();
        if ($warm === null) {
            return [
                Note::caution(
                    'runs-warm-unknown',
                    "It runs at {$at}, and how far both parts expand is not known: what it holds there is not.",
                ),
            ];
        }
        if (abs($warm) < 1e-9) {
            return [];
        }
        $loss = Roughness::loss($fit->roughInner, $fit->roughOuter);
        [$least, $most] = [
            $fit->interferenceMm->min - $fit->form->looserMm - $loss->max + $warm,
            $fit->interferenceMm->max + $fit->form->tighterMm - $loss->min + $warm,
        ];
        $by = LengthWriter::difference($warm);
        if ($most <= 0) {
            return [
                Note::stop(
                    'grip-gone-warm',
                    Say::with(
                        "At {$at}, as it runs, it has loosened by {d}: no grip is left even at the tight end. Hold it another way.",
                        ['d' => $by],
                    ),
                ),
            ];
        }
        if ($warm < 0 && $least <= 0) {
            return [
                Note::stop(
                    'grip-unsure-warm',
                    Say::with(
                        "At {$at}, as it runs, it has loosened by {d}: at the loose end nothing grips. More interference, or hold it another way.",
                        ['d' => $by],
                    ),
                ),
            ];
        }

        return [
            Note::info(
                'runs-warm',
                Say::with(
                    "At {$at}, as it runs, it is {d} ".
                        ($warm < 0 ? 'looser' : 'tighter').
                        '; what it holds at least, and what pulls at most, are of the worse of cold and warm.',
                    ['d' => $by],
                ),
            ),
        ];
    }

    /** @param  non-empty-list<PressFit>  $stretches */
    public static function stepped(array $stretches): Note
    {
        $walls = array_map(static fn (PressFit $f): Say => LengthWriter::difference($f->outerWallMm()), $stretches);

        return Note::info(
            'stepped',
            Say::with(
                'The wall round it steps: {walls}. Each stretch is reckoned by itself, the one that stands least decides.',
                ['walls' => Say::join($walls, ', ')],
            ),
        );
    }

    /** @param  non-empty-list<Press>  $stretches */
    public static function stretches(array $stretches): Working
    {
        return new Working(
            array_map(
                static fn (Press $p, int $i): WorkingStep => new WorkingStep(
                    'Stretch '.($i + 1),
                    'its own walls, the same interference',
                    Say::with('{l} long, bore {i}, outside {o}: p {p} MPa at most', [
                        'l' => LengthWriter::size($p->fit->lengthMm),
                        'i' => LengthWriter::size($p->fit->innerBoreMm),
                        'o' => LengthWriter::size($p->fit->outerOdMm),
                        'p' => number_format($p->pressureMpa->max, 1),
                    ]),
                    'Lamé, stretch by stretch',
                ),
                $stretches,
                array_keys($stretches),
            ),
        );
    }

    /** @return list<Note> */
    private static function strength(PressFit $fit, ?float $outerFactor, ?float $innerFactor): array
    {
        $notes = [];
        $outer = $fit->outer;
        if (
            $outerFactor === null
            && $fit->interferenceMm->max > 0
            && $fit->outer->yieldMpa === null
            && $fit->outer->tensileMpa === null
        ) {
            $notes[] = Note::caution(
                'outer-unknown',
                'How much the outer part stands is not known. Test it, or bond instead of pressing.',
            );
        } elseif ($outerFactor !== null && $outer->brittle) {
            $short = Figure::atLeast($outerFactor, 1);
            if ($outerFactor < 1) {
                $notes[] = Note::stop(
                    'outer-cracks',
                    "The outer part cracks: its pull at the tight end is past what {$outer->name} stands (factor {$short}). Don't press; bond it, or sleeve it.",
                );
            } elseif ($outerFactor < self::BRITTLE_FACTOR) {
                $notes[] = Note::stop(
                    'outer-may-crack',
                    "The outer part may crack: factor {$short}, and at least 2.5 is advised for a brittle ring. Take less interference, or bond it.",
                );
            } elseif ($outerFactor < self::OLD_CASTING_FACTOR) {
                $notes[] = Note::caution(
                    'outer-old-casting',
                    "Factor {$short} against cracking: fine for a sound round boss; 4 is advised where the casting is old, ribbed, split or unknown.",
                );
            }
            $notes[] = Note::info(
                'brittle-housing',
                'The outer part is brittle: press slowly and straight, stand aside, and stop if the force jumps.',
            );
        } elseif ($outerFactor !== null) {
            array_push($notes, ...self::ductile('outer', 'outer part', $outerFactor));
            $plastic = ThickRing::plasticPressure($fit);
            if ($outerFactor < 1 && $plastic !== null) {
                $holds =
                    ($fit->friction->low * $plastic * M_PI * $fit->diameterMm * $fit->lengthMm * $fit->diameterMm) /
                    2000;
                $notes[] = Note::info(
                    'outer-plastic',
                    'Once it gives all round it presses with no more than about '.
                        number_format($plastic, 0).
                        ' MPa, and holds '.
                        number_format($holds, 0).
                        ' N·m at most, however tight it is made.',
                );
            }
        }
        if ($innerFactor !== null && $innerFactor < 1) {
            // Squeezed all round it cannot crack: it gives a little and stays. Common practice with bronze bushes.
            $notes[] = Note::caution(
                'inner-yields',
                'The inner part gives a little at the tight end (factor '.
                    Figure::atLeast($innerFactor, 2).
                    '): it holds no more for it, and how far its bore closes is less sure than the number here. Finish the bore in place.',
            );
        } elseif ($innerFactor !== null) {
            array_push($notes, ...self::ductile('inner', 'inner part', $innerFactor));
        }

        return $notes;
    }

    /** @return list<Note> */
    private static function ductile(string $code, string $name, float $factor): array
    {
        $short = Figure::atLeast($factor, 2);

        return match (true) {
            $factor < 1 => [
                Note::stop(
                    "{$code}-yields",
                    "The {$name} yields at the tight end (factor {$short}): it gives, the pressure stops rising, and the elastic numbers here are too high. Take less interference.",
                ),
            ],
            $factor < self::YIELD_FACTOR => [
                Note::caution("{$code}-near-yield", "The {$name} is near yielding at the tight end (factor {$short})."),
            ],
            default => [],
        };
    }

    /** @return list<Note> */
    private static function walls(PressFit $fit): array
    {
        $notes = [];
        $inner = $fit->innerWallMm();
        if ($inner !== null && self::isThin($inner, $fit->diameterMm)) {
            $notes[] = Note::caution(
                'thin-wall',
                Say::with('Thin wall, {wall}: finish the bore after pressing, or bond instead.', [
                    'wall' => LengthWriter::difference($inner),
                ]),
            );
        }
        if (self::isThin($fit->outerWallMm(), $fit->diameterMm)) {
            $notes[] = Note::caution(
                'thin-housing',
                Say::with('The wall round the bore is thin, {wall}: it stretches more than it grips. Bond instead.', [
                    'wall' => LengthWriter::difference($fit->outerWallMm()),
                ]),
            );
        }

        return $notes;
    }

    public static function working(
        PressFit $fit,
        Range $effective,
        Range $grip,
        float $stiffness,
        Range $pressure,
        Range $closing,
        Range $axial,
        Range $torque,
        ?float $outerFactor,
    ): Working {
        $r = static fn (Range $x, int $places = 1): string => number_format($x->min, $places).
            ' to '.
            number_format($x->max, $places);
        $d = static fn (float $mm): Say => LengthWriter::difference($mm);
        $form = $fit->form->wholeMm() > 0 ? '{a} to {b}: form −{l} and +{t}, warm {w}' : '{a} to {b}: warm {w}';
        $lame = 'Lamé thick cylinders; Shigley, press and shrink fits';
        $steps = [
            new WorkingStep(
                'Interference that works',
                'δ − 0.8 (Rz_i + Rz_o), never below 0',
                Say::with("{a} to {b}; inner {$fit->roughInner->says}, outer {$fit->roughOuter->says}", [
                    'a' => $d($effective->min),
                    'b' => $d($effective->max),
                ]),
                'DIN 7190-1',
            ),
            ...$grip->min === $effective->min && $grip->max === $effective->max
                ? []
                : [
                    new WorkingStep(
                        'At its loosest and tightest',
                        'less the mate’s form and what running warm takes, or more',
                        Say::with($form, [
                            'a' => $d($grip->min),
                            'b' => $d($grip->max),
                            'l' => $d($fit->form->looserMm),
                            't' => $d($fit->form->tighterMm),
                            'w' => LengthWriter::signedDifference($fit->warmMm() ?? 0.0),
                        ]),
                        'the spots that were read; linear expansion',
                    ),
                ],
            $fit->backing !== null
                ? new WorkingStep(
                    'Pressure in the joint',
                    'p = δ × stiffness of all three rings',
                    Say::with('{k} MPa per 0.01 mm with the housing round it, p = {p} MPa', [
                        'k' => number_format($stiffness / 100, 2),
                        'p' => $r($pressure),
                    ]),
                    'Lamé thick cylinders, both joints at once',
                )
                : new WorkingStep(
                    'Pressure in the joint',
                    'p = δ / { d [ (1/E_o)((d_o² + d²)/(d_o² − d²) + ν_o) + (1/E_i)((d² + d_i²)/(d² − d_i²) − ν_i) ] }',
                    Say::with(
                        'd {d}, d_i {i}, d_o {o}, E_o {eo} GPa, ν_o {no}, E_i {ei} GPa, ν_i {ni}: {k} MPa per 0.01 mm, p = {p} MPa',
                        [
                            'd' => LengthWriter::size($fit->diameterMm),
                            'i' => LengthWriter::size($fit->innerBoreMm),
                            'o' => LengthWriter::size($fit->outerOdMm),
                            'eo' => (string) $fit->outer->eGpa,
                            'no' => (string) $fit->outer->nu,
                            'ei' => (string) $fit->inner->eGpa,
                            'ni' => (string) $fit->inner->nu,
                            'k' => number_format($stiffness / 100, 2),
                            'p' => $r($pressure),
                        ],
                    ),
                    $lame,
                ),
            new WorkingStep(
                'Pull in the outer part',
                $fit->backing === null ? 'σ = p (d_o² + d²)/(d_o² − d²)' : 'σ = p × what of it the housing leaves',
                $r($pressure->times(ThickRing::outerRatio($fit))).
                    ' MPa'.
                    ($outerFactor === null ? '' : ', factor '.number_format($outerFactor, 1).' at the tight end'),
                $lame,
            ),
        ];
        if ($fit->isHollow()) {
            $steps[] = new WorkingStep(
                'The bore closes',
                'Δ = 2 p d² d_i / (E_i (d² − d_i²))',
                Say::with('{a} to {b}', ['a' => $d($closing->min), 'b' => $d($closing->max)]),
                $lame,
            );
        }
        $steps[] = new WorkingStep(
            'Holds along the axis',
            'F = μ p π d L',
            "μ {$fit->friction->low} to {$fit->friction->high}: ".$r($axial->times(0.001)).' kN',
            $fit->friction->source,
        );
        $steps[] = new WorkingStep('Holds against turning', 'T = F d / 2', $r($torque).' N·m', 'statics');

        return new Working($steps);
    }
}
