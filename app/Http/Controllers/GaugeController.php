<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Gauges\LineGauge;
use App\Http\Body;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Gauge\GaugeLine;
use Oldpart\Core\Gauge\Rack;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;

/** The gauges within reach, and what one of them shows now. */
final class GaugeController
{
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'gauges' => array_map(
                static fn (array $g): array => [
                    'code' => $g['code'],
                    'name' => $g['name'],
                    'instrument' => $g['kind'] === 'temperature' ? null : $g['instrument'],
                    'kind' => $g['kind'],
                ],
                Rack::all(),
            ),
        ]);
    }

    public function show(Request $request, LineGauge $line, string $gauge): JsonResponse
    {
        if (! in_array($gauge, array_column(Rack::all(), 'code'), true)) {
            throw new BadInput('unknown-gauge', 'gauge', "There is no gauge called “{$gauge}” on the rack.");
        }
        // Where it is held: a simulated part has to be told, a real one knows.
        $held = sprintf(
            '%s %.3f %.1f',
            $gauge,
            self::number($request, 'along', 0.5),
            self::number($request, 'angle', 0.0),
        );

        return new JsonResponse(self::shown($line->ask($held)));
    }

    /** A line that a gauge at the browser sent, read by the same reader; without a reading in it, it is refused. */
    public function line(Request $request): JsonResponse
    {
        $in = Body::of($request)->only(['text', 'unit']);
        $reading =
            GaugeLine::read($in->text('text'), $in->choice('unit', Unit::class)) ??
            throw new BadInput(
                'no-reading',
                'text',
                'The gauge sent a line without a reading. Look at its display, and at the baud rate.',
            );

        return new JsonResponse(self::shown($reading));
    }

    /** @return array<string, mixed> */
    private static function shown(GaugeLine $reading): array
    {
        return [
            'text' => $reading->text,
            'typed' => $reading->typed,
            'unit' => $reading->unit?->value,
            'celsius' => $reading->celsius,
            'shown' => $reading->length === null ? null : LengthWriter::size($reading->length->mm),
        ];
    }

    private static function number(Request $request, string $name, float $usual): float
    {
        $value = $request->query($name);

        return is_string($value) && is_numeric($value) ? (float) $value : $usual;
    }
}
