<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Evaluate\Shapes\Planes;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * The walls that a press works in: the outside of the outer part along the engaged stretch, and the bore of the inner
 * part behind it; stretch by stretch where they step. What lies elsewhere on the part does not count.
 *
 * @phpstan-type Along array{list<array{to: float, mm: float}>|null, list<SurfaceFacts>, list<Note>}
 */
final readonly class JointWalls
{
    /** A stretch shorter than this share of the joint is left out. */
    private const SHORT = 0.01;

    /**
     * @param  list<WallStretch>  $stretches  along the joint, their shares adding to 1; empty while something is missing
     * @param  list<string>  $missing  in words
     * @param  list<SurfaceFacts>  $deciding  surfaces that count
     * @param  list<Note>  $notes
     */
    private function __construct(
        public array $stretches,
        public array $missing,
        public array $deciding,
        public array $notes,
    ) {
    }

    public static function of(JobFacts $facts, KnownSizes $sizes, SurfaceFacts $inner, SurfaceFacts $outer): self
    {
        return self::between(
            [self::along($facts, $sizes, $outer, true), self::along($facts, $sizes, $inner, false)],
            $facts,
            $inner,
            $outer,
        );
    }

    /**
     * The same where one of the two is a rolling bearing: its ring stands for the wall, whatever is drawn of it. Common
     * practice (Bearing::ringMm).
     *
     * @param  bool  $onShaft  whether it is pressed on the shaft; else into the housing
     */
    public static function ofBearing(
        JobFacts $facts,
        KnownSizes $sizes,
        SurfaceFacts $inner,
        SurfaceFacts $outer,
        Bearing $bearing,
        bool $onShaft,
    ): self {
        $ringMm = $bearing->ringMm();
        $mm = $onShaft ? $bearing->boreMm + 2 * $ringMm : $bearing->outsideMm - 2 * $ringMm;
        $taken = Note::info(
            'ring-taken',
            Say::with(
                'The ring of the bearing is taken as {s} thick, a quarter of what lies between its bore and its outside.',
                ['s' => LengthWriter::sizeInWords($ringMm)],
            ),
        );
        $ring = [[['to' => 1.0, 'mm' => $mm]], [], [$taken]];

        return self::between(
            $onShaft
                ? [$ring, self::along($facts, $sizes, $inner, false)]
                : [self::along($facts, $sizes, $outer, true), $ring],
            $facts,
            $inner,
            $outer,
        );
    }

    /**
     * @param  array{Along, Along}  $sides  round the joint, and behind it
     */
    private static function between(array $sides, JobFacts $facts, SurfaceFacts $inner, SurfaceFacts $outer): self
    {
        [[$outside, $decideOut, $notesOut], [$bores, $decideIn, $notesIn]] = $sides;
        $missing = [];
        if ($outside === null) {
            $missing[] = 'the outside of the '.lcfirst($facts->partOf($outer)->name).' round the joint';
        }
        if ($bores === null) {
            $missing[] = 'the bore of the '.lcfirst($facts->partOf($inner)->name);
        }

        return new self(
            $outside === null || $bores === null ? [] : self::together($outside, $bores),
            $missing,
            [...$decideOut, ...$decideIn],
            [...$notesOut, ...$notesIn],
        );
    }

    /** What lies on the other side of its wall where that is thinnest, mm: 0: solid; null: not known. */
    public static function thinnest(JobFacts $facts, KnownSizes $sizes, SurfaceFacts $surface): ?float
    {
        $outside = $surface->kind === SurfaceKind::Bore;
        $rows = self::along($facts, $sizes, $surface, $outside)[0];
        $sizesThere = array_column($rows ?? [], 'mm');

        return $sizesThere === [] ? null : ($outside ? min($sizesThere) : max($sizesThere));
    }

    /**
     * What is known along a joint surface of its own part: outsides round a bore, or bores behind an outside.
     *
     * @return Along sizes up to each share of the joint; null while a stretch is not known
     */
    private static function along(JobFacts $facts, KnownSizes $sizes, SurfaceFacts $joint, bool $outside): array
    {
        $others = array_values(
            array_filter(
                $facts->surfacesOf($joint->part),
                static fn (SurfaceFacts $s): bool => $s->id !== $joint->id
                    && ($outside ? $s->type->isOutside() || $s->type->isOutsideGroove() : $s->type->isInside()),
            ),
        );
        $planes = new Planes($facts->surfacesOf($joint->part), $sizes->placing);
        $own = $planes->of($joint);
        $length = $own === null ? 0.0 : $own[1] - $own[0];
        $placed = $loose = [];
        foreach ($others as $surface) {
            $extent = $planes->of($surface);
            if ($own === null || $extent === null || $extent[1] <= $extent[0] || $length <= 0) {
                $loose[] = $surface;
            } elseif (min($extent[1], $own[1]) - max($extent[0], $own[0]) > self::SHORT * $length) {
                $placed[] = [
                    'surface' => $surface,
                    'from' => ($extent[0] - $own[0]) / $length,
                    'to' => ($extent[1] - $own[0]) / $length,
                ];
            }
        }
        if ($placed !== []) {
            [$rows, $counted] = self::stretched($sizes, $placed, $outside);

            // Where what is drawn there is not known but something without a place is, that is no help: it may lie
            // anywhere.
            return [
                $rows,
                $counted,
                [...self::typed($sizes, $counted), ...self::unplaced($sizes, $loose, $rows, $outside)],
            ];
        }

        return self::unplacedOnly($sizes, $others, $loose, $outside, $facts);
    }

    /**
     * @param  non-empty-list<array{surface: SurfaceFacts, from: float, to: float}>  $placed
     * @return array{list<array{to: float, mm: float}>|null, list<SurfaceFacts>}
     */
    private static function stretched(KnownSizes $sizes, array $placed, bool $outside): array
    {
        $cuts = [0.0, 1.0];
        foreach ($placed as $p) {
            array_push($cuts, min(1.0, max(0.0, $p['from'])), min(1.0, max(0.0, $p['to'])));
        }
        $cuts = array_values(array_unique(array_map(static fn (float $c): float => round($c, 6), $cuts)));
        sort($cuts);
        $rows = $counted = [];
        $whole = true;
        for ($i = 1; $i < count($cuts); $i++) {
            if ($cuts[$i] - $cuts[$i - 1] <= self::SHORT) {
                continue;
            }
            $middle = ($cuts[$i] + $cuts[$i - 1]) / 2;
            $here = array_values(
                array_filter($placed, static fn (array $p): bool => $p['from'] <= $middle && $p['to'] >= $middle),
            );
            $known = array_values(
                array_filter($here, static fn (array $p): bool => $sizes->mm($p['surface']) !== null),
            );
            if ($here === [] && ! $outside) {
                $rows[] = ['to' => $cuts[$i], 'mm' => 0.0];

                continue;
            }
            array_push($counted, ...array_column($known === [] ? $here : $known, 'surface'));
            if ($known === []) {
                $whole = false;

                continue;
            }
            $grooves = array_filter($known, static fn (array $p): bool => $p['surface']->type->isOutsideGroove());
            $plain = array_filter($known, static fn (array $p): bool => ! $p['surface']->type->isOutsideGroove());
            $size = static fn (array $p): float => $sizes->thinMm($p['surface'], $outside);
            // Where stretches overlap the larger counts; a groove cuts in.
            $mm = $plain === [] ? INF : max(array_map($size, $plain));
            $rows[] = ['to' => $cuts[$i], 'mm' => min([$mm, ...array_map($size, $grooves)])];
        }

        return [$whole && $rows !== [] ? $rows : null, self::unique($counted)];
    }

    /**
     * Nothing has a place along the joint: the thinnest wall that any of them leaves.
     *
     * @param  list<SurfaceFacts>  $others
     * @param  list<SurfaceFacts>  $loose
     * @return array{list<array{to: float, mm: float}>|null, list<SurfaceFacts>, list<Note>}
     */
    private static function unplacedOnly(
        KnownSizes $sizes,
        array $others,
        array $loose,
        bool $outside,
        JobFacts $facts,
    ): array {
        if (! $outside && $loose === []) {
            return [[['to' => 1.0, 'mm' => 0.0]], [], []];
        }
        // A bore that something else sits in is the bore, an oil hole is not.
        $joined = array_merge(
            ...array_map(static fn (JointFacts $j): array => [$j->inner, $j->outer], $facts->joints),
            ...[[]],
        );
        $mates = array_values(
            array_filter($loose, static fn (SurfaceFacts $s): bool => in_array($s->id, $joined, true)),
        );
        $candidates = ! $outside && $mates !== [] ? $mates : $loose;
        $known = array_values(
            array_filter($candidates, static fn (SurfaceFacts $s): bool => $sizes->mm($s) !== null),
        );
        if ($known === []) {
            return [null, $candidates, []];
        }
        $all = array_map(static fn (SurfaceFacts $s): float => $sizes->thinMm($s, $outside), $known);
        $mm = $outside ? min($all) : max($all);
        $notes =
            count($known) < 2
                ? []
                : [
                    Note::info(
                        'wall-unplaced',
                        Say::with(
                            'Where they lie along the joint is not said: the thinnest wall any of them leaves is taken, {s}. Say at Survey where each begins.',
                            ['s' => LengthWriter::sizeInWords($mm)],
                        ),
                    ),
                ];

        return [[['to' => 1.0, 'mm' => $mm]], $known, [...$notes, ...self::typed($sizes, $known)]];
    }

    /**
     * @param  list<SurfaceFacts>  $loose
     * @param  list<array{to: float, mm: float}>|null  $rows
     * @return list<Note> on what has no place and would leave a thinner wall
     */
    private static function unplaced(KnownSizes $sizes, array $loose, ?array $rows, bool $outside): array
    {
        $notes = [];
        $thinnest = min([INF, ...array_column($rows ?? [], 'mm')]);
        foreach ($rows === null ? [] : $loose as $surface) {
            $mm = $sizes->mm($surface);
            if ($outside && $mm !== null && $mm < $thinnest && $surface->kind === SurfaceKind::Shaft) {
                $notes[] = Note::caution(
                    'wall-elsewhere',
                    Say::with(
                        "“{$surface->name}”, {s}, has no place along the part: taken as not round this joint. Say at Survey where it begins.",
                        ['s' => LengthWriter::sizeInWords($mm)],
                    ),
                );
            }
        }

        return $notes;
    }

    /**
     * @param  list<SurfaceFacts>  $surfaces
     * @return list<Note>
     */
    private static function typed(KnownSizes $sizes, array $surfaces): array
    {
        $names = array_map(
            static fn (SurfaceFacts $s): string => $s->name,
            array_filter($surfaces, $sizes->isOnlyTyped(...)),
        );

        return $names === [] ? [] : [Note::info('wall-typed', implode(', ', $names).': as noted, not measured.')];
    }

    /**
     * @param  list<array{to: float, mm: float}>  $outside
     * @param  list<array{to: float, mm: float}>  $bores
     * @return list<WallStretch>
     */
    private static function together(array $outside, array $bores): array
    {
        $cuts = array_values(array_unique([...array_column($outside, 'to'), ...array_column($bores, 'to')]));
        sort($cuts);
        $stretches = [];
        $from = 0.0;
        foreach ($cuts as $to) {
            $middle = ($from + $to) / 2;
            $last = count($stretches) - 1;
            $next = new WallStretch($to - $from, self::at($outside, $middle), self::at($bores, $middle));
            if (
                $last >= 0
                && abs($stretches[$last]->odMm - $next->odMm) < 1e-6
                && abs($stretches[$last]->boreMm - $next->boreMm) < 1e-6
            ) {
                $stretches[$last] = new WallStretch(
                    $stretches[$last]->share + $next->share,
                    $next->odMm,
                    $next->boreMm,
                );
            } else {
                $stretches[] = $next;
            }
            $from = $to;
        }

        return array_values(
            array_map(
                static fn (WallStretch $s): WallStretch => new WallStretch($s->share / $from, $s->odMm, $s->boreMm),
                $stretches,
            ),
        );
    }

    /** @param  list<array{to: float, mm: float}>  $rows */
    private static function at(array $rows, float $share): float
    {
        $mm = 0.0;
        foreach ($rows as $row) {
            $mm = $row['mm'];
            if ($share <= $row['to'] + 1e-9) {
                break;
            }
        }

        return $mm;
    }

    /**
     * @param  list<SurfaceFacts>  $surfaces
     * @return list<SurfaceFacts>
     */
    private static function unique(array $surfaces): array
    {
        return array_values(array_column($surfaces, null, 'id'));
    }
}
