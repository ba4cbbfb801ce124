<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Sizing\JointConditions;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Fit\FitAdvice;
use Oldpart\Core\Fit\PlainBearing;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Fit\StandardSize;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Picture\Bar;
use Oldpart\Core\Picture\BarsPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** What helps to choose a joint's fit, and to get out where it can't be made. */
final readonly class JointHelp implements \JsonSerializable
{
    private const SIZES = 4;

    private const EACH = 4;

    /** What an old part can mostly lose on diameter without harm, mm. Common practice: 1/16 in. */
    private const GIVE_OR_TAKE_MM = 1.6;

    /** What takes more than so many per cent of what its material stands is drawn no longer than this. */
    private const LONGEST = 250.0;

    /**
     * @param  list<WayOut>  $waysOut
     * @param  list<StandardSize>  $standards
     */
    private function __construct(
        private ?FitAdvice $advice,
        private array $waysOut,
        private array $standards,
        private bool $runs,
        private ?PlainBearing $plain,
    ) {
    }

    /** Null where no size comes out of the joint, or it is a length. */
    public static function of(JobFacts $facts, Outcome $out, SizedJoint $joint): ?self
    {
        if (! $joint->isSized() || $joint->purpose->isLength) {
            return null;
        }
        $ways = $out->withheld
            ? []
            : (new WaysOut(
                $facts,
                static fn (FoundSize $f, Range $r): SizeToMate => $out->sizing->sizeFor($joint->makesInner(), $f, $r),
            ))->of($joint);

        return new self(
            FitAdvice::from($joint->joint->asked, JointConditions::of($facts, $out->found, $joint)),
            $ways,
            self::near($facts, $joint),
            $joint->purpose->runs,
            self::plain($facts, $out->found, $joint),
        );
    }

    /** @return list<StandardSize> the sizes it may have had, or could be trued to */
    private static function near(JobFacts $facts, SizedJoint $joint): array
    {
        $mate = $joint->mate;
        $found = $joint->mateFound;
        if (
            $mate === null
            || $found === null
            || $mate->kind === SurfaceKind::Length
            || $facts->partOf($mate)->origin !== Origin::Found
        ) {
            return [];
        }
        $bore = $mate->kind === SurfaceKind::Bore;

        return StandardSize::near($bore, $bore ? $found->largestMm() : $found->smallestMm(), self::GIVE_OR_TAKE_MM);
    }

    /**
     * The pressure and speed of a running joint, once its load is typed; its length is that along which it is engaged.
     *
     * @param  array<string, FoundSize>  $found
     */
    private static function plain(JobFacts $facts, array $found, SizedJoint $joint): ?PlainBearing
    {
        $length = $joint->joint->along === null ? null : $found[$joint->joint->along] ?? null;
        $outer = $facts->surface($joint->joint->outer);
        if (
            ! $joint->purpose->runs
            || $joint->joint->loadN === null
            || $joint->mateFound === null
            || $length === null
            || $outer === null
        ) {
            return null;
        }

        return PlainBearing::of(
            $joint->mateFound->meanMm,
            $length->meanMm,
            $joint->joint->loadN,
            $joint->joint->speedRpm,
            $facts->partOf($outer)->material,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'advice' => $this->advice === null ? null : self::advice($this->advice),
            'ways_out' => $this->waysOut,
            'standards' => $this->standards(),
            'runs' => $this->runs,
            'plain' => $this->plain === null
                    ? null
                    : [
                        'tiles' => self::tiles($this->plain),
                        'notes' => $this->plain->notes,
                        'working' => $this->plain->working,
                        'picture' => self::shares($this->plain),
                    ],
        ];
    }

    /** How much of what its material stands each of them takes; null where no limit is known. */
    private static function shares(PlainBearing $plain): ?Drawing
    {
        $bars = [];
        $taken = [
            ['Pressure', $plain->pressureMpa, 'p_mpa'],
            ['Sliding speed', $plain->speedMs, 'v_m_s'],
            ['p·v', $plain->pv, 'pv'],
        ];
        foreach ($taken as [$name, $value, $limit]) {
            $stands = $plain->limits[$limit] ?? null;
            if ($value !== null && $stands !== null) {
                $share = 100 * $value / $stands;
                $bars[] = new Bar(
                    $name,
                    min($share, self::LONGEST),
                    Figure::upTo($share).' %',
                    tone: $share > 100 ? Tone::Overlap : Tone::Found,
                );
            }
        }

        return $bars === []
            ? null
            : BarsPicture::draw(
                $bars,
                Say::plain('How much of what its material stands is taken.'),
                100.0,
                'what it stands',
            );
    }

    /** @return list<array<string, mixed>> */
    private static function tiles(PlainBearing $plain): array
    {
        $tile = static function (string $label, ?float $value, string $unit, ?float $limit): array {
            $number = static fn (float $x): string => rtrim(rtrim(number_format($x, 2), '0'), '.');

            return [
                'label' => $label,
                'value' => Say::plain($value === null ? '–' : $number($value)." {$unit}"),
                'remark' => Say::plain($limit === null ? 'no limit known' : "stands {$number($limit)}"),
                'tone' => $value === null || $limit === null ? 'plain' : ($value <= $limit ? 'good' : 'bad'),
            ];
        };

        return [
            $tile('Pressure', $plain->pressureMpa, 'MPa', $plain->limits['p_mpa'] ?? null),
            $tile('Sliding speed', $plain->speedMs, 'm/s', $plain->limits['v_m_s'] ?? null),
            $tile('p·v', $plain->pv, 'MPa·m/s', $plain->limits['pv'] ?? null),
            [
                'label' => 'Length over diameter',
                'value' => Say::plain(number_format($plain->ratio, 2)),
                'remark' => Say::plain('0.8 to 1.5 is advised'),
                'tone' => $plain->ratio >= 0.8 && $plain->ratio <= 1.5 ? 'good' : 'plain',
            ],
        ];
    }

    /** @return list<array{mm: float, says: Say}> one line for each size, what gives it after it */
    private function standards(): array
    {
        $by = [];
        foreach ($this->standards as $size) {
            $by[(string) round($size->mm, 4)][] = $size;
        }
        $lines = [];
        foreach (array_slice($by, 0, self::SIZES) as $sizes) {
            $what = array_map(
                static fn (StandardSize $s): string => $s->what === 'bearing' ? $s->label : "{$s->label} {$s->what}",
                array_slice($sizes, 0, self::EACH),
            );
            $lines[] = [
                'mm' => $sizes[0]->mm,
                'says' => Say::with('{s}: '.implode(', ', $what).(count($sizes) > self::EACH ? ' …' : ''), [
                    's' => LengthWriter::size($sizes[0]->mm),
                ]),
            ];
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private static function advice(FitAdvice $advice): array
    {
        return [
            'purpose' => $advice->purpose,
            'second' => $advice->second,
            'why' => $advice->why,
            'against' => $advice->against,
            'questions' => array_map(
                static fn (array $q): array => [
                    'code' => $q['question']->code,
                    'ask' => $q['question']->ask,
                    'answer' => $q['answer'],
                    'known' => $q['known'],
                    'choices' => array_map(
                        static fn (array $c): array => ['code' => $c[0], 'says' => $c[1]],
                        $q['question']->choices,
                    ),
                ],
                $advice->questions,
            ),
        ];
    }
}
