<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Making\RunningTrue;
use Oldpart\Core\Evaluate\Mechanics\PressedSize;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Shaped\ShapeNumber;
use Oldpart\Core\Evaluate\Shapes\JobShapes;
use Oldpart\Core\Evaluate\Shapes\PartShape;
use Oldpart\Core\Facts\Form;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Picture\FacePicture;
use Oldpart\Core\Picture\FaceSize;
use Oldpart\Core\Picture\Shop\ShopNote;
use Oldpart\Core\Picture\Shop\ShopSize;
use Oldpart\Core\Picture\Shop\ShopView;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** What is written at each part that is cut: every surface with its limits, its call-out, or its free size. */
final readonly class ShopViews
{
    /** The letter of the axis that others run true to; A is the face that lengths are taken from. */
    private const DATUM = 'B';

    /** Of a shape that many numbers are written beside what it is. */
    private const NUMBERS = 2;

    /** @var array<string, list<MakeEntry>> by surface */
    private array $entries;

    /** @var array<string, ShapedSurface> by surface */
    private array $shaped;

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     */
    public function __construct(private JobFacts $facts, private JobShapes $shapes, array $make, array $shaped)
    {
        $entries = [];
        foreach ($make as $entry) {
            $entries[$entry->surface->id][] = $entry;
        }
        $this->entries = $entries;
        $this->shaped = array_column(
            array_map(static fn (ShapedSurface $s): array => ['id' => $s->surface->id, 'shape' => $s], $shaped),
            'shape',
            'id',
        );
    }

    /** @return array<string, string> by id: the parts that are cut, and turned */
    public function parts(): array
    {
        return $this->cut(true);
    }

    /** @return array<string, string> by id: the parts that are cut, and seen from their face */
    public function plates(): array
    {
        return $this->cut(false);
    }

    /** @return array<string, string> */
    private function cut(bool $turned): array
    {
        $parts = [];
        foreach ($this->facts->parts as $part) {
            $cut = array_filter($this->facts->surfacesOf($part->id), $this->facts->isCut(...));
            if ($cut !== [] && ($part->form === Form::Turned) === $turned && isset($this->shapes->shapes[$part->id])) {
                $parts[$part->id] = $part->name;
            }
        }

        return $parts;
    }

    /** What is seen from its face, with the limits of what is cut; null where the section shows it all. */
    public function face(string $partId): ?FacePicture
    {
        $sizes = $rest = [];
        foreach ($this->facts->surfacesOf($partId) as $surface) {
            if (! $this->facts->isCut($surface)) {
                continue;
            }
            $lines = $this->lines($surface, '');
            if ($lines !== [] && $this->isPlain($surface->type)) {
                $sizes[$surface->name] = new FaceSize(
                    $surface->name,
                    Say::with('⌀ {s}', ['s' => self::inOne($lines)]),
                    $this->isFree($surface),
                );
            } elseif ($lines !== [] && $surface->type === SurfaceType::Length) {
                $rest[] = new FaceSize($surface->name, self::inOne($lines), $this->isFree($surface));
            } elseif ($surface->type !== SurfaceType::HolePattern && isset($this->shaped[$surface->id]->is)) {
                $rest[] = new FaceSize($surface->name, $this->shaped[$surface->id]->is, $this->isFree($surface));
            }
        }
        $isPlate = $this->facts->part($partId)?->form !== Form::Turned;

        return $this->shapes->shapes[$partId]->face()?->written($sizes, $isPlate ? $rest : []);
    }

    /** The same for the other hand; null where only one is made. */
    public function otherHand(string $partId): ?FacePicture
    {
        return $this->facts->part($partId)?->bothHands === true ? $this->face($partId)?->mirrored() : null;
    }

    public function of(string $partId): ShopView
    {
        $shape = $this->shapes->shapes[$partId];
        $diameters = $lengths = $notes = [];
        $datum = null;
        $true = RunningTrue::of($this->facts, $partId, array_merge(...array_values($this->entries)));
        foreach ($this->facts->surfacesOf($partId) as $surface) {
            $extent = $shape->extent($surface);
            if ($surface->datum && $extent !== null && $datum === null) {
                $datum = $extent[0];
            }
            if (! $this->facts->isCut($surface) || $extent === null) {
                continue;
            }
            $type = $surface->type;
            if (isset($this->shaped[$surface->id]) && ! $this->isPlain($type)) {
                $notes[] = $this->note($surface, $shape, $extent);
            } elseif ($type === SurfaceType::Length && $extent[1] > $extent[0]) {
                $lines = $this->lines($surface, '');
                if ($lines !== []) {
                    $lengths[] = new ShopSize(
                        $extent[0],
                        $extent[1],
                        0.0,
                        [self::inOne($lines)],
                        $this->isFree($surface),
                    );
                }
            } elseif ($this->isPlain($type)) {
                $lines = $this->lines($surface, '⌀');
                $mm = $this->shapes->sizes->mm($surface);
                if ($lines !== [] && $mm !== null) {
                    $radius = $mm / 2 + abs($shape->offsetOf($surface));
                    $size = new ShopSize($extent[0], $extent[1], $radius, $lines, $this->isFree($surface));
                    $diameters[] = $this->asked($size, $surface, $true);
                }
            }
        }

        [$steps, $unsaid] = $this->steps($partId, $shape, $lengths, $datum);

        return new ShopView(
            $shape->onAxis(0.0, 0.0, true),
            $diameters,
            [...$lengths, ...$steps],
            $notes,
            $datum,
            unsaid: $unsaid,
            says: self::saysOf($diameters),
        );
    }

    /** Roughness where a fit wants it, run-out where two have to be true to each other. */
    private function asked(ShopSize $size, SurfaceFacts $surface, RunningTrue $true): ShopSize
    {
        $ra = null;
        foreach ($this->facts->joints as $joint) {
            if ($joint->inner === $surface->id || $joint->outer === $surface->id) {
                $wants = Purpose::orNull($joint->purpose)->ra ?? null;
                $ra = $wants !== null && ($ra === null || $wants['um'] < $ra['um']) ? $wants : $ra;
            }
        }
        $runOut = $true->runOutMm[$surface->id] ?? null;

        return $size->asked(
            $ra === null ? null : new Say(
                "Ra {$ra['uin']} µin",
                "Ra {$ra['um']}",
                "Ra {$ra['uin']} µin ({$ra['um']} µm)",
            ),
            $runOut === null ? null : LengthWriter::atMost($runOut),
            $runOut === null && $true->datum !== $surface->id ? '' : self::DATUM,
        );
    }

    /** @param  list<ShopSize>  $diameters */
    private static function saysOf(array $diameters): ?Say
    {
        $hasRunOut = array_filter($diameters, static fn (ShopSize $d): bool => $d->runOut !== null) !== [];
        $hasFinish = array_filter($diameters, static fn (ShopSize $d): bool => $d->finish !== null) !== [];

        return $hasRunOut || $hasFinish
            ? Say::plain(implode(' ', array_filter([
                $hasRunOut ? 'Run-out to '.self::DATUM.': half of its own limits, common practice.' : '',
                $hasFinish ? 'Ra: as such fits want it, common practice.' : '',
            ])))
            : null;
    }

    /**
     * Where the steps lie that no length of the card leads to: each once, from the face that lengths are taken from. Of
     * what is only sketched no number is written.
     *
     * @param  list<ShopSize>  $lengths  that are written already
     * @return array{list<ShopSize>, list<string>} and the surfaces of which nobody said where they lie
     */
    private function steps(string $partId, PartShape $shape, array $lengths, ?float $datum): array
    {
        $known = $shape->knownMm();
        $isKnown = static fn (float $mm): bool => array_filter(
            $known,
            static fn (float $k): bool => abs($k - $mm) < 1e-6,
        ) !== [];
        $zero = $datum ?? $shape->profile->fromMm();
        $edges = array_map(static fn (ShopSize $l): array => [$l->fromMm, $l->toMm], $lengths);
        $reached = self::reached([$zero], $edges);
        [$steps, $unsaid] = [[], []];
        foreach ($this->facts->surfacesOf($partId) as $surface) {
            $extent = $shape->extent($surface);
            if (
                $extent === null
                || ! $this->facts->isCut($surface)
                || $surface->type->isEdge()
                || $surface->type === SurfaceType::Length
            ) {
                continue;
            }
            if (! $isKnown($extent[0]) || ! $isKnown($extent[1])) {
                $unsaid[] = $surface->name;

                continue;
            }
            foreach ($extent as $mm) {
                if (! self::holds($reached, $mm) && $isKnown($zero)) {
                    $steps[] = new ShopSize(
                        min($zero, $mm),
                        max($zero, $mm),
                        0.0,
                        [LengthWriter::size(abs($mm - $zero))],
                        true,
                    );
                    $reached = self::reached([...$reached, $mm], $edges);
                }
            }
        }

        return [$steps, $unsaid];
    }

    /**
     * @param  list<float>  $from
     * @param  list<array{float, float}>  $edges
     * @return list<float> every place a length leads to from there
     */
    private static function reached(array $from, array $edges): array
    {
        do {
            $before = count($from);
            foreach ($edges as [$a, $b]) {
                if (self::holds($from, $a) !== self::holds($from, $b)) {
                    $from[] = self::holds($from, $a) ? $b : $a;
                }
            }
        } while (count($from) > $before);

        return $from;
    }

    /** @param  list<float>  $places */
    private static function holds(array $places, float $mm): bool
    {
        foreach ($places as $place) {
            if (abs($place - $mm) < 1e-6) {
                return true;
            }
        }

        return false;
    }

    private function isPlain(SurfaceType $type): bool
    {
        return $type === SurfaceType::Bore || $type === SurfaceType::Shaft;
    }

    private function isFree(SurfaceFacts $surface): bool
    {
        $entry = $this->entries[$surface->id][0] ?? null;

        return $entry === null || $entry->free || $entry->band === null;
    }

    /** @return list<Say> its limits, the upper above; one free size; nothing where nobody said any */
    private function lines(SurfaceFacts $surface, string $mark): array
    {
        $marked = static fn (Say $size): Say => Say::with($mark.'{s}', ['s' => $size]);
        foreach ($this->entries[$surface->id] ?? [] as $entry) {
            if ($entry->band === null) {
                continue;
            }
            if ($entry->free) {
                return [$marked(LengthWriter::size($entry->band->middleMm()))];
            }
            $lines = [$marked(LengthWriter::upper($entry->band)), LengthWriter::lower($entry->band)];

            return match ($entry->phase) {
                Phase::Only => $lines,
                Phase::Before => [...$lines, Say::plain('before pressing')],
                // It is finished where it sits: whoever makes the part leaves stock on it.
                Phase::After => [...$lines, Say::plain('once pressed,'), Say::with('before about {r}', [
                    'r' => LengthWriter::size(PressedSize::leftAtMm($surface, $entry->band)),
                ])],
            };
        }
        $mm = $surface->size->length->mm ?? null;
        // A size that waits for something is only noted so far: nobody may cut to it.
        $waits = array_filter($this->entries[$surface->id] ?? [], static fn (MakeEntry $e): bool => ! $e->free);
        $about = $waits === [] ? '' : '≈ ';

        return $mm === null || $mm <= 0 ? [] : [Say::with("{$about}{s}", ['s' => $marked(LengthWriter::size($mm))])];
    }

    /** @param  non-empty-list<Say>  $lines */
    private static function inOne(array $lines): Say
    {
        return count($lines) === 1
            ? $lines[0]
            : Say::join([Say::with('{a}–{b}', ['a' => $lines[1], 'b' => $lines[0]]), ...array_slice($lines, 2)]);
    }

    /** @param  array{float, float}  $extent */
    private function note(SurfaceFacts $surface, PartShape $shape, array $extent): ShopNote
    {
        $shaped = $this->shaped[$surface->id];
        $lines = [Say::with('{is}', ['is' => $shaped->is ?? Say::plain("{$surface->name}: not known yet")])];
        $numbers = $shaped->is === null ? [] : $shaped->numbers;
        // The first number of a pattern is its circle, which was said.
        foreach (array_slice($numbers, $surface->type === SurfaceType::HolePattern ? 2 : 0, self::NUMBERS) as $number) {
            $lines[] = self::number($number);
        }

        $mm = $this->shapes->sizes->mm($surface);

        return new ShopNote(
            $extent[1] > $extent[0] ? $extent[0] + 0.6 * ($extent[1] - $extent[0]) : $extent[0],
            $this->radius($surface, $shape, $mm ?? 0.0),
            $lines,
            in_array($surface->type, [SurfaceType::GrooveInside, SurfaceType::GrooveOutside], true) ? $extent : null,
        );
    }

    private static function number(ShapeNumber $number): Say
    {
        return Say::with("{$number->name} {s}", ['s' => $number->says]);
    }

    /** Where it is seen above the axis. */
    private function radius(SurfaceFacts $surface, PartShape $shape, float $mm): float
    {
        if (
            in_array(
                $surface->type,
                [
                    SurfaceType::KeywayShaft,
                    SurfaceType::KeywayHub,
                    SurfaceType::Flat,
                    SurfaceType::ChamferInside,
                    SurfaceType::ChamferOutside,
                ],
                true,
            )
        ) {
            $extent = $shape->extent($surface);
            $at = $extent === null ? 0.0 : ($extent[0] + $extent[1]) / 2;
            foreach ($shape->profile->cells as $cell) {
                if ($at >= $cell->fromMm - 1e-6 && $at <= $cell->toMm + 1e-6) {
                    return $surface->type === SurfaceType::KeywayHub || $surface->type === SurfaceType::ChamferInside
                        ? max($cell->innerStartMm, $cell->innerEndMm)
                        : max($cell->outerStartMm, $cell->outerEndMm);
                }
            }

            return 0.0;
        }

        return min($mm / 2, $shape->profile->largestMm());
    }
}
