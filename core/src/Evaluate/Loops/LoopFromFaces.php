<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Loops;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Shapes\JobShapes;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopLength;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Picture\AxisFace;
use Oldpart\Core\Shape\SurfaceType;

/**
 * A loop from faces pointed at in order, from one side of the gap round to the other. Two faces of one part are joined
 * by its lengths; two of different parts lie on each other. The signs follow from which way the walk goes and which way
 * the first face looks: two faces that look at each other have a gap between them, two that look the same way a step.
 */
final readonly class LoopFromFaces implements \JsonSerializable
{
    /**
     * @param  list<LoopLength>  $lengths
     * @param  ?string  $missing  what stands in the way of a loop, with the way out; null where it closes
     */
    private function __construct(public string $name, public array $lengths, public ?string $missing)
    {
    }

    /**
     * @param  list<string>  $ids  of faces, in the order they were pointed at
     *
     * @throws BadInput for a face that is not there
     */
    public static function of(JobFacts $facts, JobShapes $shapes, array $ids): self
    {
        $faces = array_map(static fn (string $id): array => self::face($shapes, $id), $ids);
        if (count($faces) < 2) {
            return new self(
                '',
                [],
                $faces === []
                    ? 'Point at the faces in order: first the one at one side of the gap, last the one at its other side.'
                    : 'Go on: the next face of this part, or the face that lies on it.',
            );
        }
        $lengths = [];
        $walked = false;
        for ($i = 1; $i < count($faces); $i++) {
            [$from, $to] = [$faces[$i - 1], $faces[$i]];
            if ($from['part'] === $to['part']) {
                $path = self::path($facts, $shapes, $from, $to);
                if ($path === null) {
                    $part = $facts->part($from['part'])->name ?? '';

                    return self::stopped(
                        $lengths,
                        "No length of “{$part}” runs from “{$from['face']->name}” to “{$to['face']->name}” yet. Add it at Survey, as a length, and measure it.",
                    );
                }
                $lengths = [...$lengths, ...$path];
                $walked = true;
            } elseif ($from['face']->looks !== 0 && $from['face']->looks === $to['face']->looks) {
                return self::stopped(
                    $lengths,
                    "“{$from['face']->name}” and “{$to['face']->name}” look the same way, so they can't lie on each other. A face is missing between them: ".
                        self::between($shapes, $from, $to).
                        '.',
                );
            }
        }
        [$first, $last] = [$faces[0], $faces[count($faces) - 1]];
        if (! $walked) {
            return self::stopped([], 'Go on across this part, to its other face.');
        }
        if ($first['part'] === $last['part']) {
            return self::stopped(
                $lengths,
                'It is back on the part it began with. The last face has to be one of another part, across the gap from the first.',
            );
        }
        [$a, $b] = [$first['face'], $last['face']];
        $looks = $a->looks !== 0 ? $a->looks : -$b->looks;
        $turned = array_map(
            static fn (LoopLength $l): LoopLength => $looks >= 0
                ? $l
                : new LoopLength(
                    name: $l->name,
                    surface: $l->surface,
                    size: null,
                    plus: null,
                    minus: null,
                    opens: ! $l->opens,
                    spread: $l->spread,
                ),
            $lengths,
        );
        if ($a->looks !== 0 && $a->looks === $b->looks) {
            return new self("“{$b->name}” beyond “{$a->name}”", $turned, null);
        }
        $drawn = array_map(
            static fn (LoopLength $l): float => $l->direction() * self::drawnMm($facts, $shapes, $l),
            $turned,
        );
        if (array_sum($drawn) < -0.02 * array_sum(array_map(abs(...), $drawn))) {
            return self::stopped(
                $lengths,
                "“{$b->name}” lies behind “{$a->name}” as you went, so there is no gap between them. Another last face is missing, or the walk goes the wrong way: take one face back.",
            );
        }

        return new self("Between “{$a->name}” and “{$b->name}”", $turned, null);
    }

    /** How long a length of a loop is drawn. */
    private static function drawnMm(JobFacts $facts, JobShapes $shapes, LoopLength $length): float
    {
        $surface = $length->surface === null ? null : $facts->surface($length->surface);
        $extent = $surface === null ? null : $shapes->shapes[$surface->part]->extent($surface);

        return $extent === null ? 0.0 : $extent[1] - $extent[0];
    }

    /** @param  list<LoopLength>  $lengths */
    private static function stopped(array $lengths, string $why): self
    {
        return new self('', $lengths, $why);
    }

    /** @return array{part: string, face: AxisFace} */
    private static function face(JobShapes $shapes, string $id): array
    {
        foreach ($shapes->shapes as $part => $shape) {
            foreach ($shape->faces() as $face) {
                if ($face->id === $id) {
                    return ['part' => $part, 'face' => $face];
                }
            }
        }
        throw new BadInput('gone', 'faces', 'This face is not in the picture any more. Begin again.');
    }

    /**
     * The fewest lengths of a part from one of its faces to another, those to the right opening.
     *
     * @param  array{part: string, face: AxisFace}  $from
     * @param  array{part: string, face: AxisFace}  $to
     * @return ?list<LoopLength>
     */
    private static function path(JobFacts $facts, JobShapes $shapes, array $from, array $to): ?array
    {
        $edges = [];
        foreach ($facts->surfacesOf($from['part']) as $surface) {
            $extent =
                $surface->type === SurfaceType::Length
                    ? $shapes->shapes[$from['part']]->extent($surface)
                    : null;
            if ($extent !== null && $extent[1] > $extent[0]) {
                $edges[] = [$surface, $extent[0], $extent[1]];
            }
        }
        $same = static fn (float $a, float $b): bool => abs($a - $b) < 1e-6;
        $queue = [[$from['face']->atMm, []]];
        $seen = [];
        while ($queue !== []) {
            [$at, $path] = array_shift($queue);
            if ($same($at, $to['face']->atMm)) {
                return $path;
            }
            $seen[] = $at;
            foreach ($edges as [$surface, $a, $b]) {
                foreach ([[$a, $b, true], [$b, $a, false]] as [$here, $there, $right]) {
                    if (
                        $same($here, $at)
                        && array_filter($seen, static fn (float $s): bool => $same($s, $there)) === []
                    ) {
                        $queue[] = [
                            $there,
                            [
                                ...$path,
                                new LoopLength(
                                    name: $surface->name,
                                    surface: $surface->id,
                                    size: null,
                                    plus: null,
                                    minus: null,
                                    opens: $right,
                                    spread: Spread::Uniform,
                                ),
                            ],
                        ];
                    }
                }
            }
        }

        return null;
    }

    /**
     * Which face would lie on the first: one of the second part that looks the other way, or one of the first part.
     *
     * @param  array{part: string, face: AxisFace}  $from
     * @param  array{part: string, face: AxisFace}  $to
     */
    private static function between(JobShapes $shapes, array $from, array $to): string
    {
        foreach ([$to['part'], $from['part']] as $part) {
            foreach ($shapes->shapes[$part]->faces() as $face) {
                if ($face->looks === -$from['face']->looks) {
                    return "perhaps “{$face->name}”";
                }
            }
        }

        return 'one that looks the other way';
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'lengths' => $this->lengths,
            'missing' => $this->missing,
            'closed' => $this->missing === null,
            'so_far' => Say::join(
                array_map(
                    static fn (LoopLength $l): Say => Say::plain(($l->opens ? '+ ' : '− ').$l->name),
                    $this->lengths,
                ),
                ' ',
            ),
        ];
    }
}
