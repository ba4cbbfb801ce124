<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Picture\TaperPicture;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;
use Oldpart\Core\Taper\SplitBush;
use Oldpart\Core\Taper\StandardTaper;
use Oldpart\Core\Taper\Taper;

/**
 * A taper: how steep, how large at its ends for its mate to stand out as wanted, how the slide is set, how it bears.
 */
final readonly class TaperWork
{
    /** Pushed in by hand it stands out so far before it is drawn home, mm, where nobody said. Common practice. */
    private const STANDS_OUT = [0.5, 1.5];

    /** Where no band is left: as near as one can, mm. */
    private const FINE_MM = 0.001;

    /** Where only the old one is known: it is copied to so much, mm. Common practice. */
    private const AS_OLD_MM = 0.02;

    /** A hub with less of its bore for a wall is thin. Common practice. */
    private const WALL = 0.15;

    /** Under this half angle friction holds a taper by itself; over it, it comes loose by itself. Common practice. */
    private const HOLDS_DEG = 7.0;

    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $surface = $this->case->surface;
        try {
            $own = KnownTaper::of($this->case->sizes, $surface);
            $mate = $this->case->mate === null || ! $this->case->isCut
                ? null
                : KnownTaper::of($this->case->sizes, $this->case->mate);
        } catch (BadInput $bad) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain($bad->getMessage()));
        }
        // What is made goes by what it is said to be, then by its mate, then by the old one.
        $goes = $this->case->isCut && ! ($own->isNamed ?? false) ? $mate ?? $own : $own;
        if ($goes === null) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain(
                'Read its diameter at both ends and the length between them, or balls, rollers or an indicator run; or type how steep it is at Survey: 1:10, 8°, Morse 2.'
                    .(
                        $this->case->isCut && $this->case->mate !== null
                            ? " “{$this->case->mate->name}” read will do as well." : ''
                    ),
            ));
        }

        return $this->case->isCut ? $this->made($goes, $own, $mate) : $this->found($goes);
    }

    private function found(KnownTaper $known): ShapedSurface
    {
        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: false,
            is: self::steep($known->taper),
            candidates: self::standards($known->taper),
            because: Say::plain($known->how),
            numbers: self::angles($known->taper),
            notes: $known->notes,
            picture: TaperPicture::draw($known->taper, $this->isInside()),
            working: [self::step($known)],
        );
    }

    private function made(KnownTaper $goes, ?KnownTaper $own, ?KnownTaper $mate): ShapedSurface
    {
        $taper = $goes->taper;
        $inside = $this->isInside();
        $long = $this->case->of('over')->mm ?? $taper->lengthMm;
        [$large, $because, $notes] = $this->large($taper, $own, $mate);
        $drop = $long === null ? 0.0 : $long * $taper->onDiameter();
        $fromLarge = $this->beginsLarge();
        $atBegin = $large === null ? null : ($fromLarge ? $large : Band::between(
            $large->lowerMm - $drop,
            $large->upperMm - $drop,
        ));
        $numbers = [];
        if ($large !== null) {
            $numbers[] = ShapeNumber::within(
                $inside ? 'Across its mouth' : 'Across its large end',
                $large,
                $fromLarge ? '' : 'far',
            );
            if ($long !== null && $large->lowerMm > $drop) {
                $numbers[] = ShapeNumber::size('At its small end', $large->middleMm() - $drop);
            }
        }
        array_push($numbers, ...self::angles($taper), ...$this->split($taper));
        $picture = $large === null || $long === null || $large->middleMm() <= $drop
            ? $taper
            : Taper::between($large->middleMm(), $large->middleMm() - $drop, $long);

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: true,
            is: self::steep($taper),
            onDiameter: $taper->onDiameter(),
            missing: $large === null
                ? Say::plain(
                    $inside
                        ? 'Read the mate’s large end for how large its mouth has to be.'
                        : 'Read the mate’s mouth for how large it has to be.',
                )
                : null,
            candidates: self::standards($taper),
            band: $atBegin,
            because: $because ?? Say::plain($goes->how),
            numbers: $numbers,
            sets: $this->sets($taper, $large, $drop),
            checks: $this->checks($taper, $long),
            notes: [...$goes->notes, ...$notes, ...$this->edge($large)],
            picture: TaperPicture::draw($picture, $inside),
            working: [self::step($goes)],
        );
    }

    /** @return array{?Band, ?Say, list<Note>} the large end for its mate to stand out as wanted, why, and what to mind */
    private function large(Taper $taper, ?KnownTaper $own, ?KnownTaper $mate): array
    {
        $mates = $mate?->taper->largeMm;
        if ($mates === null) {
            $old = $own?->taper->largeMm;

            return [
                $old === null ? null : Band::between($old - self::AS_OLD_MM, $old + self::AS_OLD_MM),
                $old === null ? null : Say::with('As the old one was, to {d} either way: its mate is not read.', ['d' => LengthWriter::difference(self::AS_OLD_MM)]),
                $old === null
                    ? []
                    : [Note::caution('taper-mate-unread', 'Its mate is not read: how far it goes in is not known. Try it before the last cut.')],
            ];
        }
        [$least, $most] = [$this->case->joint->least->length->mm ?? null, $this->case->joint->most->length->mm ?? null];
        $said = $least !== null || $most !== null;
        $least ??= $said ? 0.0 : self::STANDS_OUT[0];
        $most ??= $said ? max(0.0, $least) + 1.0 : self::STANDS_OUT[1];
        $per = $taper->onDiameter();
        $u = $mate->u95LargeMm;
        // The plug stands out of the bore by what it is larger: the bore is smaller by that, the plug larger.
        $band = $this->isInside()
            ? Band::between($mates - $most * $per + $u, $mates - $least * $per - $u)
            : Band::between($mates + $least * $per + $u, $mates + $most * $per - $u);
        $why = Say::with(
            'Pushed in by hand the plug stands {a} to {b} out of the bore'.($said ? '.' : ': taken, nobody said. Say it at the joint, as limits of the gap.'),
            ['a' => LengthWriter::signed($least), 'b' => LengthWriter::signed($most)],
        );
        if ($band !== null) {
            return [$band, $why, []];
        }

        $middle = $mates + ($this->isInside() ? -1 : 1) * $per * ($least + $most) / 2;

        return [
            Band::between($middle - self::FINE_MM, $middle + self::FINE_MM),
            $why,
            [
                Note::caution(
                    'taper-unsure',
                    Say::with('The mate’s large end is read to ±{u} only, which is {g} in or out. '.($this->isInside() ? 'Leave the bore small' : 'Leave the plug large').' and sneak up by trial.', [
                        'u' => LengthWriter::difference($u),
                        'g' => LengthWriter::difference($u / $per),
                    ]),
                ),
            ],
        ];
    }

    /** @return list<Note> what is left outside the mouth of a taper bore */
    private function edge(?Band $large): array
    {
        $outside = $this->isInside()
            ? $this->case->sizes->round($this->case->surface, SurfaceType::Shaft)
            : null;
        $wall = $outside === null || $large === null ? null : ($outside->mm - $large->upperMm) / 2;

        return $wall === null || $large === null || $wall > self::WALL * $large->middleMm()
            ? []
            : [
                Note::caution(
                    'taper-edge',
                    Say::with('Only {w} of metal is left outside its mouth: the wedge of a taper bursts a thin hub. Leave more, band it, or draw it in less.', [
                        'w' => LengthWriter::difference(max(0.0, $wall)),
                    ]),
                ),
            ];
    }

    /** @return list<ShapeNumber> what drawing in does to a bush that is slit, for a tenth or four thousandths of closing */
    private function split(Taper $taper): array
    {
        $facts = $this->case->sizes->facts;
        $slit = array_filter(
            $facts->surfacesOf($this->case->surface->part),
            static fn (SurfaceFacts $s): bool => $s->type === SurfaceType::Flat,
        );
        if ($this->isInside() || $slit === []) {
            return [];
        }
        $wide = $this->case->sizes->of(array_values($slit)[0]);
        $numbers = [
            ShapeNumber::said(
                'To close its bore a little',
                self::each(
                    '0.1: slit '.number_format(SplitBush::slotMm(0.1), 3).', drawn in '.number_format(SplitBush::drawInMm(0.1, $taper), 2),
                    '0.004: slit '.number_format(SplitBush::slotMm(0.004), 4).', drawn in '.number_format(SplitBush::drawInMm(0.004, $taper), 3),
                ),
            ),
        ];
        if ($wide !== null) {
            $numbers[] = ShapeNumber::size('The slit shut closes it by', $wide->mm / SplitBush::slotMm(1.0));
        }

        return $numbers;
    }

    private function isInside(): bool
    {
        return $this->case->surface->type === SurfaceType::TaperInside;
    }

    private function beginsLarge(): bool
    {
        $surface = $this->case->surface;
        $begins = $surface->size->length->mm ?? $surface->sketch->size ?? null;
        $far = $surface->size2->length->mm ?? $surface->sketch->size2 ?? null;

        return $begins === null || $far === null || $begins >= $far;
    }

    private static function steep(Taper $taper): Say
    {
        return Say::plain(
            '1 in '.self::number($taper->ratio(), 3).', '.self::number($taper->halfDeg, 3).'° per side',
        );
    }

    /** @return list<ShapeNumber> */
    private static function angles(Taper $taper): array
    {
        [$mm, $inch] = [50.0, 2 * 25.4];

        return [
            ShapeNumber::said('Slide set over', Say::plain(self::number($taper->halfDeg, 3).'° per side')),
            ShapeNumber::said(
                'Indicator, as it goes',
                self::each(
                    number_format($taper->alongSlideMm($mm), 3).' over 50',
                    number_format($taper->alongSlideMm($inch) / 25.4, 4).' over 2.0000',
                ),
            ),
            ShapeNumber::said('Between its sides', Say::plain(self::number($taper->includedDeg(), 3).'°')),
            ShapeNumber::said(
                'On the diameter',
                self::each(
                    number_format(10 * $taper->onDiameter(), 3).' over 10',
                    number_format($taper->perFootIn(), 4).' a foot',
                ),
            ),
        ];
    }

    private static function each(string $mm, string $in): Say
    {
        return new Say($in, $mm, "{$mm} mm ({$in})");
    }

    private static function number(float $value, int $places): string
    {
        return rtrim(rtrim(number_format($value, $places, '.', ''), '0'), '.');
    }

    /** @return list<ShapeCandidate> */
    private static function standards(Taper $taper): array
    {
        return array_map(
            static fn (StandardTaper $s): ShapeCandidate => new ShapeCandidate(
                $s->name,
                'standard taper',
                null,
                self::each(
                    number_format(abs(1000 * $s->differencePerFootIn / 12), 2).' µm a millimetre off',
                    number_format(abs($s->differencePerFootIn), 4).' a foot off',
                ),
            ),
            StandardTaper::near($taper, 3),
        );
    }

    /** @return list<Say> */
    private function sets(Taper $taper, ?Band $large, float $drop): array
    {
        $per = $taper->onDiameter();
        $mate = $this->case->mate->name ?? 'the mate';

        return [
            Say::plain('Set the slide over to '.self::number($taper->halfDeg, 2).'° from the axis.'),
            Say::with('Then by indicator, square to the axis on a true bar: {by} as the slide goes. That is surer than its graduations.', [
                'by' => self::each(
                    number_format($taper->alongSlideMm(50.0), 3).' over 50',
                    number_format($taper->alongSlideMm(50.8) / 25.4, 4).' over 2.0000',
                ),
            ]),
            Say::plain("Or set it to “{$mate}” held true: move the slide along its side until the indicator stands still."),
            Say::plain('Tool exactly at centre height, or the taper comes out curved and its angle wrong.'),
            ...$large === null
                ? []
                : [
                    Say::with(
                        $this->isInside()
                            ? 'Bore straight to {s} first, then bore the taper until it is {l} across its mouth.'
                            : 'Turn to {l} first, then cut the taper until it reaches all of its length, {s} at the small end.',
                        [
                            's' => LengthWriter::size(max(0.0, $large->lowerMm - $drop - ($this->isInside() ? 0.5 : 0.0))),
                            'l' => LengthWriter::size($large->middleMm()),
                        ],
                    ),
                ],
            Say::with('By trial: for each {one} it stands out too far, take {d} more on the diameter, {s} by the cross slide.', [
                'one' => new Say('0.040', '1 mm', '1 mm (0.040 in)'),
                'd' => self::each(number_format($per, 3), number_format(0.04 * $per, 4)),
                's' => self::each(number_format($per / 2, 3), number_format(0.02 * $per, 4)),
            ]),
        ];
    }

    /** @return list<Say> */
    private function checks(Taper $taper, ?float $long): array
    {
        $inside = $this->isInside();
        $more = 'turn the slide over a little more';
        $less = 'turn the slide back a little';
        $checks = [
            Say::plain('Blue the plug thinly, push it in, turn it a little, draw it out: it has to bear over all of its length.'),
            Say::plain('Bears at the large end only: '.($inside ? $more : $less).'. Bears at the small end only: '.($inside ? $less : $more).'.'),
        ];
        if ($long !== null) {
            $checks[] = Say::with('A feeler of {f} at the free end over {l} of length is {a}° of the slide.', [
                'f' => self::each('0.02', '0.0008'),
                'l' => LengthWriter::size($long),
                'a' => number_format(rad2deg(atan(0.01 / $long)), 3),
            ]);
        }
        $checks[] = Say::plain(
            $taper->halfDeg < self::HOLDS_DEG
                ? 'It holds by itself once it is driven home: leave a way to press it out again.'
                : 'So steep it does not hold by itself: a nut or screw has to keep it in.',
        );

        return $checks;
    }

    private static function step(KnownTaper $known): WorkingStep
    {
        return new WorkingStep(
            'How steep',
            $known->formula,
            Say::plain(
                self::number($known->taper->halfDeg, 4).'° per side'.(
                    $known->u95HalfDeg > 0 ? ' ± '.self::number($known->u95HalfDeg, 3).'°' : ''
                ),
            ),
            'geometry of a cone',
        );
    }
}
