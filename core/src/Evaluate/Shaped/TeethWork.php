<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Gear\BeltPulley;
use Oldpart\Core\Gear\GearLikely;
use Oldpart\Core\Gear\GearPins;
use Oldpart\Core\Gear\GearSpan;
use Oldpart\Core\Gear\Sprocket;
use Oldpart\Core\Gear\ToothSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** Teeth: which they are, so that the right wheel is bought or kept; blank, span and centre distance. */
final readonly class TeethWork
{
    /** Spans that may be read, by the dimension they are stored under. */
    private const SPANS = ['span-2' => 2, 'span-3' => 3, 'span-4' => 4, 'span-5' => 5, 'span-6' => 6];

    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $surface = $this->case->surface;
        $teeth = $surface->count;
        if ($teeth === null) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain('Count its teeth, and say how many at Survey.'));
        }
        try {
            $candidates = $this->odds($surface, $teeth);
            if ($candidates === [] && $this->case->mate?->count !== null) {
                $candidates = $this->odds($this->case->mate, $this->case->mate->count);
            }
            $label = $this->case->shape() ?? ($candidates[0]->label ?? null);
            foreach (['chain', 'belt'] as $for) {
                if ($this->onlyNames($for)) {
                    $candidates = $this->wheels($for, $teeth);
                    $label = $candidates[0]->label ?? null;
                }
            }
            $size = $label === null ? null : ToothSize::named($label);
            $pulley = $size?->belt === null ? null : BeltPulley::of($size->belt, $teeth);
        } catch (BadInput $bad) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain($bad->getMessage()));
        }
        if ($size === null) {
            return new ShapedSurface(
                surface: $surface,
                isCut: $this->case->isCut,
                is: null,
                missing: Say::plain('Read it across the tops of its teeth (with an odd number: from the wall of the bore to a tip, add half of the bore, and double that), or over two to six of them; or type what it is at Survey: module 2, 10 DP, chain 1/2 in, belt 8M; or only chain or belt, and which is told by the teeth.'),
                candidates: $candidates,
            );
        }

        return match (true) {
            $size->chainMm !== null => $this->chain($teeth, $size->chainMm, $candidates),
            $pulley !== null => $this->belt($pulley, $candidates),
            default => $this->gear($teeth, $size, $candidates),
        };
    }

    /** @return list<ShapeCandidate> */
    private function odds(SurfaceFacts $surface, int $teeth): array
    {
        $outside = $this->case->sizes->of($surface);
        if ($outside === null) {
            return [];
        }
        [$span, $over] = [null, null];
        foreach (self::SPANS as $what => $n) {
            $read = $this->case->sizes->of($surface, $what);
            if ($read !== null && $n < $teeth) {
                [$span, $over] = [$read->mm, $n];
            }
        }
        $found = GearLikely::of($teeth, $outside->mm, $outside->u95Mm, $span, $over);
        $gears = [];
        foreach ($found as $one) {
            if ($one['module_mm'] !== null) {
                $angle = $one['pressure_deg'] === null ? '' : ', '.rtrim(
                    rtrim(number_format($one['pressure_deg'], 1), '0'),
                    '.',
                ).'°';
                $gears[] = new ShapeCandidate($one['label'].$angle, $one['system'], $one['probability']);
            }
        }

        return $gears;
    }

    /** Chain or belt was typed, and not which. */
    private function onlyNames(string $for): bool
    {
        return strtolower(trim($this->case->shape() ?? '')) === $for;
    }

    /**
     * Which chain or belt a wheel is for, by what was read over its tips.
     *
     * @return list<ShapeCandidate>
     *
     * @throws BadInput for a wheel that is none, or fits none of the table
     */
    private function wheels(string $for, int $teeth): array
    {
        $outside = $this->case->sizes->of($this->case->surface);
        if ($outside === null) {
            return [];
        }
        $found = $for === 'belt'
            ? BeltPulley::likely($teeth, $outside->mm, $outside->u95Mm)
            : Sprocket::byOutside($teeth, $outside->mm)->likely();
        if ($found[0]['label'] === 'other') {
            throw new BadInput('no-wheel', 'shape', "No {$for} in the table has such an outside with {$teeth} teeth. Count and read again; else measure the old {$for} over ten teeth or links, and name it by that.");
        }
        $wheels = [];
        foreach ($found as $one) {
            if ($one['label'] !== 'other') {
                $label = isset($one['pitch_mm']) ? "chain {$one['pitch_mm']} mm" : "belt {$one['label']}";
                $wheels[] = new ShapeCandidate($label, $for, $one['probability']);
            }
        }

        return $wheels;
    }

    /** @param  list<ShapeCandidate>  $candidates */
    private function gear(int $teeth, ToothSize $size, array $candidates): ShapedSurface
    {
        $m = $size->moduleMm ?? 1.0;
        $span = GearSpan::of($m, $teeth, $size->pressureDeg);
        $outside = $m * ($teeth + 2);
        // A blank is turned a little small, never large: it would touch the bottom of its mate.
        $band = new Band($outside - 0.05 - 0.02 * $m, $outside);
        $mateTeeth = $this->case->mate?->count;
        $pins = GearPins::usual($m, $teeth, $size->pressureDeg);
        $numbers = [
            ShapeNumber::within('Blank, across', $band, ''),
            ShapeNumber::size('Pitch circle', $m * $teeth),
            ShapeNumber::size('Deep', 2.25 * $m),
            ShapeNumber::said(
                "Over {$span->teethSpanned} teeth",
                Say::with('{s} without backlash, at '.rtrim(rtrim(number_format($size->pressureDeg, 1), '0'), '.').'°', [
                    's' => LengthWriter::size($span->spanMm),
                ]),
            ),
        ];
        if ($pins !== null) {
            $numbers[] = ShapeNumber::said(
                'Over two pins',
                Say::with('{p}, pins of {d} in opposite gaps', [
                    'p' => LengthWriter::size($pins->overPinsMm),
                    'd' => LengthWriter::size($pins->pinMm),
                ]),
            );
        }
        if ($mateTeeth !== null) {
            $numbers[] = ShapeNumber::size('Between the centres', $m * ($teeth + $mateTeeth) / 2);
        }
        $notes = [];
        if (! $size->pressureSaid) {
            $notes[] = Note::caution('pressure-taken', 'Pressure angle 20° is taken: nobody said or spanned it. Old teeth are often 14½°. Read over two to six teeth to tell, before you buy or cut.');
        }
        $first = $candidates[0] ?? null;
        if ($this->case->shape() === null && $first !== null && ($first->chance ?? 1.0) < 0.7) {
            $notes[] = Note::caution('no-match', 'No one size fits well: stub, corrected or of circular pitch. Keep the original wheel and join to it rather than cut a new one.');
        }

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $this->case->isCut,
            is: Say::plain(
                $size->label.(
                    $this->case->shape() !== null || $first === null ? '' : ' most likely, '.floor(
                        100 * ($first->chance ?? 0.0),
                    ).' of 100'
                )." · {$teeth} teeth",
            ),
            candidates: $candidates,
            band: $this->case->isCut ? $band : null,
            because: Say::plain(
                $this->case->shape() !== null ? 'As typed.' : 'By what was read, for full-depth spur teeth.',
            ),
            numbers: $numbers,
            sets: $this->case->isCut
                ? [
                    Say::plain('Bore and blank in one setting, or the blank on a true mandrel: the teeth run true to what it was held by.'),
                    Say::with("Divide by {$teeth}; cutter of this size for {$teeth} teeth; feed {d} in all, the last cut by the span.", ['d' => LengthWriter::size(2.25 * $m)]),
                ]
                : [],
            checks: [
                Say::plain("Read over {$span->teethSpanned} teeth at three places round: the same within a few hundredths, or it runs out."),
                Say::plain('Turn it in mesh by hand all the way round: a little shake everywhere, tight nowhere.'),
            ],
            notes: $notes,
            working: [
                new WorkingStep(
                    'Teeth',
                    'outside m (z + 2); span m cos α [π (k − ½) + z (tan α − α)]; centres m (z₁ + z₂)/2',
                    Say::with('m {m}, z '.$teeth.': outside {o}', ['m' => LengthWriter::size($m), 'o' => LengthWriter::size($outside)]),
                    'involute geometry, ISO 53 and 54',
                ),
            ],
        );
    }

    /** @param  list<ShapeCandidate>  $candidates */
    private function chain(int $teeth, float $pitchMm, array $candidates): ShapedSurface
    {
        $wheel = Sprocket::of($teeth, $pitchMm);

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $this->case->isCut,
            is: Say::with("chain of {p} pitch · {$teeth} teeth", ['p' => LengthWriter::sizeInWords($pitchMm)]),
            candidates: $candidates,
            because: Say::plain($this->onlyNames('chain') ? 'By what was read over its tips.' : 'As typed.'),
            numbers: [
                ShapeNumber::size('Pitch circle', $wheel->pitchCircleMm()),
                ShapeNumber::size('Outside, about', $pitchMm * (0.6 + 1 / tan(M_PI / $teeth))),
            ],
            checks: [Say::plain('Lay a new chain round it: it seats in every gap, and does not climb at the last one.')],
            working: [
                new WorkingStep('Chain wheel', 'pitch circle = p / sin(180°/z)', Say::with('{d}', ['d' => LengthWriter::size($wheel->pitchCircleMm())]), 'geometry of a polygon'),
            ],
        );
    }

    /** @param  list<ShapeCandidate>  $candidates */
    private function belt(BeltPulley $pulley, array $candidates): ShapedSurface
    {
        $first = $candidates[0] ?? null;
        $told = $this->onlyNames('belt') ? $first : null;

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $this->case->isCut,
            is: Say::plain(
                "belt {$pulley->label}".($told === null ? '' : ' most likely, '.floor(100 * ($told->chance ?? 0.0)).' of 100').", {$pulley->tooth} teeth · {$pulley->teeth} teeth",
            ),
            candidates: $candidates,
            because: Say::plain($told === null ? 'As typed.' : 'By what was read over its tips.'),
            numbers: [
                ShapeNumber::size('Outside', $pulley->outsideMm),
                ShapeNumber::size('Pitch circle', $pulley->pitchCircleMm),
            ],
            checks: [
                Say::with('Over ten teeth the old belt is {p} long; a stretched one climbs.', ['p' => LengthWriter::size(10 * $pulley->pitchMm)]),
                Say::plain("Look at a tooth from the side: this belt’s are {$pulley->tooth}. Round and flat ones do not run on each other."),
            ],
            notes: ($told->chance ?? 1.0) < 0.8
                ? [Note::caution('belts-alike', 'The outside does not tell it surely. Measure the old belt over ten teeth and divide by ten, before you buy or cut.')]
                : [],
            working: [
                new WorkingStep(
                    'Belt pulley',
                    'pitch circle z p / π; outside = that less what the belt stands off',
                    Say::with('{d} and {o}', ['d' => LengthWriter::size($pulley->pitchCircleMm), 'o' => LengthWriter::size($pulley->outsideMm)]),
                    'ISO 5296, DIN 7721 and makers’ tables, from memory',
                ),
            ],
        );
    }
}
