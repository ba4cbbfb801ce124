<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;

/**
 * A job of each kind, every other one in inches: metals named, what is there read by its sketch a little worn, some of
 * it cut. Invented numbers.
 */
final class EachKind
{
    private const METALS = [
        'grey cast iron, ordinary',
        'medium-carbon steel, normalised',
        'leaded tin bronze (bearing)',
        'aluminium casting alloy',
    ];

    /** @return array<string, JobFacts> by the code of its kind */
    public static function jobs(): array
    {
        $jobs = [];
        foreach (Kind::all() as $i => $kind) {
            $jobs[$kind->code] = self::job($kind, $i % 2 === 0 ? Unit::Millimetre : Unit::Inch, $i);
        }

        return $jobs;
    }

    private static function job(Kind $kind, Unit $unit, int $seed): JobFacts
    {
        $n = 0;
        $id = static function () use (&$n): string {
            return 'id-'.++$n;
        };
        $facts = JobFile::toArray(
            $kind->layOut('job', 'Rig', 'Part', $unit, new ShopFacts('Shop', 18.0, 0.01, 0.5, 2e4), $id, true),
        );
        $facts['take_in'] = [
            ...$facts['take_in'],
            'failed' => 'worn',
            'gates_answered' => true,
            'runs_at_c' => $seed % 3 === 0 ? 70.0 : null,
        ];
        foreach ($facts['parts'] as $i => &$part) {
            $part['material'] = self::METALS[($i + $seed) % count(self::METALS)];
        }
        unset($part);
        $origins = array_column($facts['parts'], 'origin', 'id');
        foreach ($facts['surfaces'] as $i => $surface) {
            $size = $surface['sketch']['size'] ?? null;
            $tool =
                ['bore' => 'three-point', 'shaft' => 'outside-micrometer', 'length' => 'depth-micrometer'][
                    $surface['kind']
                ] ?? null;
            if ($tool === null || $size === null) {
                continue;
            }
            if ($origins[$surface['part']] === 'make') {
                if ($i % 3 === 0) {
                    $facts['cuts'][] = self::cut(
                        $id(),
                        $surface['id'],
                        $unit,
                        $size + ($surface['kind'] === 'bore' ? -0.4 : 0.4),
                    );
                }

                continue;
            }
            foreach (['1', '2'] as $station) {
                foreach (['0', '90'] as $angle) {
                    $mm =
                        $size +
                        ($surface['kind'] === 'bore' ? 0.008 : -0.008) +
                        0.002 * (int) $station -
                        0.00002 * (int) $angle;
                    $facts['readings'][] = [
                        'id' => $id(),
                        'surface' => $surface['id'],
                        'station' => $station,
                        'angle' => $angle,
                        'value' => self::typed($mm, $unit),
                        'was' => null,
                        'instrument' => $tool,
                        'part_c' => null,
                        'gauge_c' => null,
                        'worn' => null,
                        'set_aside' => null,
                        'remark' => null,
                        'taken_at' => null,
                        'correction_mm' => null,
                    ];
                }
            }
        }

        return JobFacts::fromArray($facts);
    }

    /** @return array<string, mixed> */
    private static function cut(string $id, string $surface, Unit $unit, float $mm): array
    {
        return [
            'id' => $id,
            'surface' => $surface,
            'phase' => 'only',
            'dialled' => null,
            'after' => self::typed($mm, $unit),
            'instrument' => 'outside-micrometer',
            'part_c' => null,
            'set_aside' => null,
            'at' => null,
        ];
    }

    /** @return array{typed: string, unit: string} */
    private static function typed(float $mm, Unit $unit): array
    {
        return [
            'typed' => $unit === Unit::Inch ? number_format($mm / 25.4, 4, '.', '') : number_format($mm, 3, '.', ''),
            'unit' => $unit->value,
        ];
    }
}
