<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Evaluate\Evaluator;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\TypedLength;
use Oldpart\Core\Quantity\Unit;

/** The job as it would be with everything read right: what the product would have done then. */
final readonly class TrueJob
{
    /** Ways round it, degrees. */
    private const ROUND = [0, 45, 90, 135];

    /** Places along it. */
    private const ALONG = [0.1, 0.5, 0.9];

    public static function outcome(JobFacts $laid, Truth $truth): Outcome
    {
        return (new Evaluator())->outcome(self::known($laid, $truth)->with(readings: self::readings($laid, $truth)));
    }

    /** With what its parts are of. */
    private static function known(JobFacts $laid, Truth $truth): JobFacts
    {
        /** @var array{parts: list<array<string, mixed>>} $array */
        $array = json_decode((string) json_encode($laid), true);
        $array['parts'] = array_map(
            static fn (array $part): array => [...$part, 'material' => $truth->materials[(string) $part['id']]],
            $array['parts'],
        );

        return JobFacts::fromArray($array);
    }

    /** @return list<ReadingFacts> */
    private static function readings(JobFacts $laid, Truth $truth): array
    {
        $readings = [];
        foreach ($laid->surfaces as $surface) {
            $true = $truth->surfaces[$surface->id] ?? null;
            if ($true === null || $true->cut || ! $surface->type->isMeasurable()) {
                continue;
            }
            $tool = self::best($laid, $surface, $true);
            if ($tool === null) {
                continue;
            }
            foreach (self::ALONG as $along) {
                foreach ($true->kind === SurfaceKind::Length ? [0] : self::ROUND as $angle) {
                    $mm = $true->shape->twoPoint($along, $angle);
                    $readings[] = new ReadingFacts(
                        id: 'true-'.count($readings),
                        surface: $surface->id,
                        station: (string) (1 + (int) ($along * 3)),
                        angle: (string) $angle,
                        value: new TypedLength(Length::mm($mm), (string) $mm, Unit::Millimetre),
                        was: null,
                        instrument: $tool->code,
                        partC: null,
                        gaugeC: null,
                        worn: null,
                        setAside: null,
                        remark: null,
                        takenAt: null,
                    );
                }
            }
        }

        return $readings;
    }

    /** The surest gauge that can read it. */
    private static function best(JobFacts $laid, SurfaceFacts $surface, TrueSurface $true): ?Instrument
    {
        $able = array_filter(
            $laid->shop->instruments->all(),
            static fn (Instrument $i): bool => $i->travelMm === null
                && $i->code !== 'pins'
                && $i->canMeasure($surface->kind, $true->shape->sizeMm),
        );
        $sure = static fn (Instrument $i): float => $i->bestU95Mm($true->shape->sizeMm);
        usort($able, static fn (Instrument $a, Instrument $b): int => $sure($a) <=> $sure($b));

        return $able[0] ?? null;
    }
}
