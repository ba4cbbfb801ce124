<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Groove\Circlip;
use Oldpart\Core\Groove\OilGroove;
use Oldpart\Core\Groove\SealRing;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;
use Oldpart\Core\Thread\Thread;

/**
 * A groove for a retaining ring or a seal ring, by what is said of it: “circlip”, “O-ring 3.53”, “O-ring 3.53
 * moving”.
 */
final readonly class GrooveWork
{
    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $said = strtolower(trim($this->case->shape() ?? ''));
        $round = $this->case->sizes->round(
            $this->case->surface,
            $this->inBore() ? SurfaceType::Bore : SurfaceType::Shaft,
        );
        if ($said === '') {
            return $this->plain();
        }
        try {
            return match (true) {
                preg_match('/^(circlip|snap ring|retaining ring)/', $said) === 1 => $this->circlip($round),
                preg_match('/^(?:o-?ring|seal ring)\s*(\d*\.?\d+)\s*(in|")?/', $said, $m) === 1 => $this->seal(
                    (float) $m[1] * (($m[2] ?? '') === '' ? 1.0 : 25.4),
                    str_contains($said, 'mov'),
                    $round,
                ),
                preg_match('/^oil\b/', $said) === 1 => $this->oil($round),
                default => ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain(
                    "“{$this->case->shape()}” is no groove known here. Write circlip; oil; or O-ring and its thickness in millimetres, as O-ring 3.53, with moving after it where something slides on it.",
                )),
            };
        } catch (BadInput $bad) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain($bad->getMessage()));
        }
    }

    private function oil(?KnownSize $bore): ShapedSurface
    {
        if ($bore === null) {
            return $this->wantsRound();
        }
        $long = $this->case->sizes->lengthOf($this->case->surface);
        if ($long === null) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain(
                'Say at Survey how long the bore is: the groove stops short of both ends.',
            ));
        }
        $groove = new OilGroove($bore->mm, $long, null, str_contains($this->case->shape() ?? '', 'both'));

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $this->case->isCut,
            is: Say::plain('an oil groove'),
            because: Say::plain('By its bore and length, common practice. Write “oil both ways” where the shaft turns both ways.'),
            numbers: [
                ShapeNumber::size('Wide', $groove->wideMm),
                ShapeNumber::size('Deep', $groove->deepMm),
                ShapeNumber::size('Long', $groove->longMm),
                ShapeNumber::size('Left whole at either end', $groove->landMm),
                ShapeNumber::size('Hole that feeds it', $groove->holeMm),
                ShapeNumber::said('From the load, against the turning', round($groove->fromLoadDeg).'°'),
            ],
            sets: $this->case->isCut ? [
                Say::plain('Cut it with a round-nosed bar in the lathe, the spindle locked, by the saddle; or with a ball cutter.'),
                Say::plain('Round its edges into the bore with a scraper: a sharp edge scrapes the oil off.'),
            ] : [],
            checks: [Say::plain('The feed hole comes out in it, and neither end of it is open.')],
            notes: [Note::caution('clear-of-load', 'Never where the load presses: mark the loaded side on the part before you cut.')],
            working: [
                new WorkingStep(
                    'Groove',
                    '0.12 of the bore wide, 0.03 deep; 0.12 of the length left at either end',
                    LengthWriter::size($groove->wideMm),
                    'common practice, no source',
                ),
            ],
        );
    }

    /** A run-out: beside a thread as wide and deep as that needs, else as it was said. */
    private function plain(): ShapedSurface
    {
        [$bottom, $wide] = [$this->case->of(), $this->case->of('width')];
        $thread = $this->beside();
        $numbers = [];
        if ($bottom !== null) {
            $numbers[] = ShapeNumber::size('Across its bottom', $bottom->mm);
        } elseif ($thread !== null) {
            $numbers[] = ShapeNumber::size(
                $this->inBore() ? 'Across its bottom, at least' : 'Across its bottom, at most',
                $this->inBore()
                    ? $thread->majorMm + 0.2 * $thread->pitchMm
                    : $thread->majorMm - 2 * $thread->depthMm() - 0.2 * $thread->pitchMm,
            );
        }
        if ($wide !== null) {
            $numbers[] = ShapeNumber::size('Wide', $wide->mm);
        } elseif ($thread !== null) {
            $numbers[] = ShapeNumber::size('Wide', 2.5 * $thread->pitchMm);
        }
        if ($numbers === []) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain(
                'Say what it is for at Survey: circlip, or O-ring and its thickness, as O-ring 3.53; or type its bottom. Beside a thread that is known it follows from that.',
            ));
        }

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $this->case->isCut,
            is: Say::plain($thread === null || $bottom !== null ? 'a plain groove' : "run-out for {$thread->label}"),
            because: Say::plain(
                $thread === null || $bottom !== null
                    ? 'As noted.'
                    : 'Two and a half pitches wide, a little deeper than the thread: common practice.',
            ),
            numbers: $numbers,
            sets: $this->case->isCut ? [Say::plain('Corners with a small radius: a sharp one is where a shaft breaks.')] : [],
            checks: $thread === null ? [] : [Say::plain('The thread runs out into it without touching the shoulder.')],
            working: [new WorkingStep('Groove', '2.5 P wide, a tenth of P deeper than the thread', Say::plain($thread->label ?? 'as noted'), 'common practice, no source')],
        );
    }

    /** The thread of its part, where it is known. */
    private function beside(): ?Thread
    {
        $type = $this->inBore() ? SurfaceType::ThreadInside : SurfaceType::ThreadOutside;
        foreach ($this->case->sizes->facts->surfacesOf($this->case->surface->part) as $surface) {
            if ($surface->type === $type && trim($surface->shape ?? '') !== '') {
                try {
                    return Thread::named((string) $surface->shape);
                } catch (BadInput) {
                    return null;
                }
            }
        }

        return null;
    }

    private function inBore(): bool
    {
        return $this->case->surface->type === SurfaceType::GrooveInside;
    }

    private function wantsRound(): ShapedSurface
    {
        return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain(
            $this->inBore() ? 'Read the bore it is cut in.' : 'Read the shaft it is cut in.',
        ));
    }

    private function circlip(?KnownSize $round): ShapedSurface
    {
        if ($round === null) {
            return $this->wantsRound();
        }
        $ring = Circlip::on($round->mm, $this->inBore());
        if ($ring === null) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::with(
                'No standard ring is listed for {d}. Measure the ring you have: its groove is a tenth wider, and as deep as it sits freely.',
                ['d' => LengthWriter::sizeInWords($round->mm)],
            ));
        }

        return $this->made(
            Say::with('retaining ring for {d}', ['d' => LengthWriter::sizeInWords($ring->nominalMm)]),
            $ring->bottom,
            $ring->width,
            [
                Say::plain('Square corners, no burr: a rounded corner lets the ring climb out.'),
                Say::plain('Edge to groove at least three times its depth, or it breaks out under load.'),
            ],
            [Say::plain('The ring snaps in all round, turns by hand and does not rock.')],
            [],
            'DIN 471 and 472',
        );
    }

    private function seal(float $thickMm, bool $moves, ?KnownSize $round): ShapedSurface
    {
        $ring = new SealRing($thickMm, $moves);
        if ($round === null) {
            return $this->wantsRound();
        }
        $deep = $ring->depth();
        $bottom = $this->inBore()
            ? new Band($round->mm + 2 * $deep->lowerMm, $round->mm + 2 * $deep->upperMm)
            : Band::between($round->mm - 2 * $deep->upperMm, $round->mm - 2 * $deep->lowerMm);
        if ($bottom === null || $bottom->lowerMm <= 0) {
            throw new BadInput('ring', 'shape', 'Such a ring is too thick for this shaft: there would be nothing left. Take a thinner one.');
        }
        [$read, $wide] = [$this->case->of(), $this->case->of('width')];
        $notes = $read === null || $wide === null || $this->case->isCut
            ? []
            : $ring->notes(abs($read->mm - $round->mm) / 2, $wide->mm);

        return $this->made(
            Say::with('seal ring {t} thick, '.($moves ? 'something moves on it' : 'at rest'), ['t' => LengthWriter::sizeInWords($thickMm)]),
            $bottom,
            $ring->width(),
            [
                Say::plain('Bottom and sides smooth, corners rounded by a few tenths, edges broken: a sharp edge cuts the ring.'),
                Say::plain('Lead-in chamfer of 15 to 20° where it is pushed past, longer than the ring stands out.'),
            ],
            [Say::with('Squeezed by {a} to {b} of 100, the gap between the parts counted in the depth; it fills {f} of 100.', [
                'a' => (string) round(100 * $ring->squeeze($deep->upperMm)),
                'b' => (string) round(100 * $ring->squeeze($deep->lowerMm)),
                'f' => (string) round(100 * $ring->fill($deep->middleMm(), $ring->width()->middleMm())),
            ])],
            [
                Note::info('seal-gap', 'The depth is taken from the round it is cut in: add half of the clearance to its mate where that is more than a few hundredths.'),
                ...$notes,
            ],
            'squeeze and fill by common practice of ring makers',
        );
    }

    /**
     * @param  list<Say>  $sets
     * @param  list<Say>  $checks
     * @param  list<Note>  $notes
     */
    private function made(
        Say $is,
        Band $bottom,
        Band $width,
        array $sets,
        array $checks,
        array $notes,
        string $source,
    ): ShapedSurface {
        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $this->case->isCut,
            is: $is,
            band: $this->case->isCut ? $bottom : null,
            because: Say::plain('As typed, for the round it is cut in.'),
            numbers: [
                ShapeNumber::within('Across its bottom', $bottom, ''),
                ShapeNumber::within('Wide', $width, 'width'),
            ],
            sets: $this->case->isCut ? $sets : [],
            checks: $checks,
            notes: $notes,
            working: [
                new WorkingStep('Groove', $source, Say::with('{b} across, {w} wide', [
                    'b' => LengthWriter::size($bottom->middleMm()),
                    'w' => LengthWriter::size($width->middleMm()),
                ]), $source),
            ],
        );
    }
}
