<?php

declare(strict_types=1);

namespace Oldpart\Core\Gauge;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Measure\Instrument;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The simulated rack (data/rack.json): each gauge stands on a part of its own and answers with a line of text.
 *
 * A client names a gauge, perhaps with where it is held: `three-point 0.5 90` is half way along, 90° round.
 */
final class Rack
{
    /** A cheap thermometer: half a degree of scatter in the last digit. */
    public const THERMOMETER_K = 0.2;

    /**
     * @var array<string, array{name: string, instrument: string, kind: string, shape: TrueShape, gauge: ?SimulatedGauge}>
     */
    private array $gauges = [];

    private Randomizer $random;

    public function __construct(int $seed = 1)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        foreach (self::all() as $row) {
            $this->gauges[$row['code']] = [
                'name' => $row['name'],
                'instrument' => $row['instrument'],
                'kind' => $row['kind'],
                'shape' => new TrueShape(
                    $row['shape']['size_mm'],
                    $row['shape']['ovality_mm'],
                    $row['shape']['taper_mm'],
                    $row['shape']['lobes_mm'],
                    $row['shape']['temperature_c'],
                ),
                'gauge' => $row['kind'] === 'temperature'
                        ? null
                        : new SimulatedGauge(Instrument::named($row['instrument']), $this->random),
            ];
        }
    }

    /**
     * @return list<array{code: string, name: string, instrument: string, kind: string, shape: array<string, float>}>
     */
    public static function all(): array
    {
        /**
         * @var list<array{code: string, name: string, instrument: string, kind: string, shape: array<string, float>}> $rows
         */
        $rows = Table::rows('rack');

        return $rows;
    }

    /** The line a gauge sends when it is asked for; null for a gauge that is not there. */
    public function answer(string $request): ?string
    {
        $words = preg_split('/\s+/', trim($request)) ?: [];
        $entry = $this->gauges[$words[0] ?? ''] ?? null;
        if ($entry === null) {
            return null;
        }
        $along = min(1.0, max(0.0, (float) ($words[1] ?? 0.5)));
        $angle = (float) ($words[2] ?? 0.0);
        if ($entry['gauge'] === null) {
            return sprintf(
                '%+07.1f C',
                $entry['shape']->temperatureC + self::THERMOMETER_K * ($this->random->getInt(-1000, 1000) / 1000),
            );
        }

        return SimulatedGauge::line(
            $entry['gauge']->read($entry['shape'], $along, $angle, $entry['instrument'] === 'three-point'),
        );
    }
}
