<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\FasteningFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Joint\Fastening;
use Oldpart\Core\Joint\FasteningKind;
use Oldpart\Core\Joint\PressAdvice;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Picture\Bar;
use Oldpart\Core\Picture\BarsPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Thread\Thread;
use Oldpart\Core\Thread\Tightening;

/**
 * What holds a joint beside its fit, and what of all that is counted: the strongest alone, as the others come in only
 * once it has slipped or given.
 */
final readonly class HeldBy implements \JsonSerializable
{
    /** What keys and pins are of where nothing is said. Common practice. */
    private const USUAL = 'low-carbon steel, cold drawn';

    private const NAMES = [
        'key' => 'the key',
        'cross-pin' => 'the cross pin',
        'dowels' => 'the dowels',
        'set-screws' => 'the set screws',
        'bolts' => 'the bolts',
        'weld' => 'the weld',
        'taper-bush' => 'the split bush',
        'knurl' => 'the knurl',
        'compound' => 'the compound',
    ];

    /**
     * @param  list<array{kind: FasteningKind, held: ?Fastening, blocked: ?string, tighten?: ?Say}>  $rows
     */
    private function __construct(private array $rows, private ?float $pressNm, private ?float $needsNm)
    {
    }

    /**
     * Null where nothing but the fit holds the joint.
     *
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands  of made surfaces
     */
    public static function of(JobFacts $facts, array $found, array $bands, SizedJoint $answer): ?self
    {
        $joint = $answer->joint;
        if ($joint->held === [] || $answer->withheld) {
            return null;
        }
        $inner = $facts->surface($joint->inner);
        $outer = $facts->surface($joint->outer);
        $known = static fn (?SurfaceFacts $s): ?float => $s === null
            ? null
            : (isset($bands[$s->id])
                ? $bands[$s->id]->middleMm()
                : $found[$s->id]->meanMm ?? $s->size?->length->mm);
        $shaft = $known($inner) ?? $known($outer);
        $yields = array_map(
            static function (?SurfaceFacts $s) use ($facts): ?float {
                $material = $s === null ? null : FoundSurfaces::material($facts->partOf($s));

                return $material->yieldMpa ?? $material?->tensileMpa;
            },
            [$inner, $outer],
        );
        $hottest = $facts->takeIn->runsAtC ?? 20.0;
        $rows = array_map(
            static fn (FasteningFacts $f): array => self::row($f, $shaft, $yields, $hottest),
            $joint->held,
        );

        return new self($rows, $answer->press?->holdTorqueNm->min, $joint->needsTorqueNm);
    }

    /** How hard a screw of its mark is tightened; null where that, or its thread, is not known. */
    public static function tightening(FasteningFacts $f): ?Tightening
    {
        $thread = $f->size === null || $f->grade === null ? null : Thread::coarse($f->size->length->mm);
        try {
            return $thread === null ? null : Tightening::of($thread, (string) $f->grade, $f->turns ?? 'dry');
        } catch (BadInput) {
            return null;
        }
    }

    /**
     * @param  list<?float>  $yields  of the inner and the outer part, MPa; of a brittle metal its strength in tension
     * @return array{kind: FasteningKind, held: ?Fastening, blocked: ?string, tighten?: ?Say}
     */
    private static function row(FasteningFacts $f, ?float $shaft, array $yields, float $hottestC): array
    {
        $own = Material::named($f->material ?? self::USUAL, 'material')->yieldMpa;
        $weakest = $yields[0] === null || $yields[1] === null ? null : min($yields[0], $yields[1]);
        $kind = $f->kind;
        // With the torque a screw takes at its least: what it holds is never promised of a better one.
        $tighten = $f->tightenNm ?? self::tightening($f)?->torqueNm->min;
        $missing = array_keys(
            array_filter([
                'the size of the joint' => $shaft === null
                    && ! in_array($kind, [FasteningKind::Bolts, FasteningKind::Knurl], true)
                    && ! ($kind === FasteningKind::Dowels && $f->circle !== null),
                'what both parts are made of' => $weakest === null && in_array($kind, [FasteningKind::Key, FasteningKind::Weld], true),
                $kind === FasteningKind::Key
                    ? 'its width'
                    : ($kind === FasteningKind::Weld
                        ? 'the leg of the fillet'
                        : 'its diameter') => $f->size === null
                        && ! in_array($kind, [FasteningKind::Knurl, FasteningKind::Compound], true),
                'its height' => $f->size2 === null && $kind === FasteningKind::Key,
                'its length' => $f->long === null
                    && in_array($kind, [FasteningKind::Key, FasteningKind::Compound], true),
                'the circle they stand on' => $f->circle === null && $kind === FasteningKind::Bolts,
                'how tight each is (or the mark on its head)' => $tighten === null
                    && in_array(
                        $kind,
                        [FasteningKind::SetScrews, FasteningKind::Bolts, FasteningKind::TaperBush],
                        true,
                    ),
                'half the angle of its taper' => $f->halfAngleDeg === null && $kind === FasteningKind::TaperBush,
            ]),
        );
        if ($missing !== []) {
            return ['kind' => $kind, 'held' => null, 'blocked' => 'Still to say: '.implode(', ', $missing).'.'];
        }
        $size = $f->size->length->mm ?? 0.0;
        $d = $shaft ?? 0.0;
        try {
            $held = match ($kind) {
                FasteningKind::Key => Fastening::key(
                    shaftMm: $d,
                    widthMm: $size,
                    heightMm: $f->size2->length->mm ?? 0.0,
                    lengthMm: $f->long->length->mm ?? 0.0,
                    yieldMpa: $own ?? 0.0,
                    sideMpa: min($own ?? 0.0, $weakest ?? 0.0),
                ),
                FasteningKind::CrossPin => Fastening::crossPin($d, $size, $f->count, $own ?? 0.0),
                FasteningKind::Dowels => Fastening::dowels(
                    circleMm: $f->circle->length->mm ?? $d,
                    pinMm: $size,
                    count: $f->count,
                    yieldMpa: $own ?? 0.0,
                    alongMm: $f->circle === null ? $f->long?->length->mm : null,
                    sideMpa: $weakest === null ? null : min($own ?? INF, $weakest),
                    deepMm: $f->circle === null ? null : $f->long?->length->mm,
                ),
                FasteningKind::SetScrews => Fastening::setScrews($d, $size, $f->count, $tighten ?? 0.0),
                FasteningKind::Bolts => Fastening::bolts(
                    $f->circle->length->mm ?? 0.0,
                    $size,
                    $f->count,
                    $tighten ?? 0.0,
                ),
                FasteningKind::Weld => Fastening::weld($d, $size, $f->count, $weakest ?? 0.0),
                FasteningKind::TaperBush => Fastening::taperBush(
                    $d,
                    $f->halfAngleDeg ?? 0.0,
                    $size,
                    $f->count,
                    $tighten ?? 0.0,
                ),
                FasteningKind::Knurl => Fastening::knurl(),
                FasteningKind::Compound => Fastening::compound($d, $f->long->length->mm ?? 0.0, $hottestC),
            };
        } catch (BadInput $bad) {
            return ['kind' => $kind, 'held' => null, 'blocked' => $bad->getMessage()];
        }

        return [
            'kind' => $kind,
            'held' => $held,
            'blocked' => null,
            'tighten' => $f->tightenNm === null ? self::tightening($f)?->torque() : null,
        ];
    }

    /** @param  non-empty-list<string>  $names  the strongest first */
    private function counts(array $names, float $most): Say
    {
        $others = array_slice($names, 1);
        $many = static fn (string $name): bool => str_ends_with($name, 's') && $name !== 'the press';
        $first =
            'What counts is '.
            $names[0].
            ', '.
            ($many($names[0]) ? 'which give' : 'which gives').
            ' at '.
            Figure::torqueAtLeast($most).
            '.';

        return Say::plain(
            $others === []
                ? $first
                : $first.
                    ' '.
                    ucfirst(implode(' and ', $others)).
                    (count($others) > 1 || $many($others[0])
                        ? ' come in only once that has slipped or given, and are not added.'
                        : ' comes in only once that has slipped or given, and is not added.'),
        );
    }

    /** @return array<string, float> torque by what holds it, N·m: alike ones added, as they give together */
    private function torques(): array
    {
        $torques = $this->pressNm !== null && $this->pressNm > 0 ? ['the press' => $this->pressNm] : [];
        foreach ($this->rows as ['kind' => $kind, 'held' => $held]) {
            if ($held?->torqueNm !== null) {
                $torques[self::NAMES[$kind->value]] = ($torques[self::NAMES[$kind->value]] ?? 0.0) + $held->torqueNm;
            }
        }
        arsort($torques);

        return $torques;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $torques = $this->torques();
        $names = array_keys($torques);
        $most = $torques === [] ? null : reset($torques);
        $enough =
            $most === null || $this->needsNm === null || $this->needsNm <= 0
                ? null
                : $most >= PressAdvice::HOLD_FACTOR * $this->needsNm;

        return [
            'rows' => array_map(
                static fn (array $row): array => [
                    'tighten' => $row['tighten'] ?? null,
                    'holds' => $row['held']?->torqueNm === null ? null : Figure::torqueAtLeast($row['held']->torqueNm),
                    'along' => $row['held']?->axialN === null ? null : Figure::forceAtLeast($row['held']->axialN),
                    'gives' => $row['held']->gives ?? '',
                    'blocked' => $row['blocked'],
                    'notes' => $row['held']->notes ?? [],
                    'working' => $row['held']->working ?? [],
                ],
                $this->rows,
            ),
            'counts' => $most === null || $names === [] ? null : $this->counts($names, $most),
            'says' => $enough === null
                    ? null
                    : Say::plain(
                        $enough
                            ? 'Enough for '.
                                Figure::torqueUpTo($this->needsNm ?? 0.0).
                                ', factor '.
                                Figure::atLeast($most / $this->needsNm, 1).
                                '.'
                            : 'Not enough: '.
                                Figure::torqueUpTo(PressAdvice::HOLD_FACTOR * ($this->needsNm ?? 0.0)).
                                ' is asked with the factor.',
                    ),
            'enough' => $enough,
            'picture' => $this->picture($torques),
        ];
    }

    /**
     * The torque each of them holds at least, and how much is asked with the factor.
     *
     * @param  array<string, float>  $torques
     */
    private function picture(array $torques): ?Drawing
    {
        if ($torques === []) {
            return null;
        }
        $bars = [];
        foreach ($torques as $name => $nm) {
            $tone = $bars === [] ? Tone::Make : Tone::Found;
            $bars[] = new Bar(ucfirst($name), $nm, Figure::torqueAtLeast($nm), tone: $tone);
        }
        $asked = $this->needsNm === null || $this->needsNm <= 0 ? null : PressAdvice::HOLD_FACTOR * $this->needsNm;

        return BarsPicture::draw(
            $bars,
            Say::plain('What each of them holds at least; the strongest counts alone.'),
            $asked,
            $asked === null ? '' : Figure::torqueUpTo($asked).' is asked',
        );
    }
}
