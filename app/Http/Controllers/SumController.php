<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\OutlineIn;
use Oldpart\Core\Exchange\PointsIn;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Sum\Sum;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Sum\Typed;
use Oldpart\Core\Sum\Words;

final class SumController
{
    private const MAX_BYTES = 4_000_000;

    public function index(): JsonResponse
    {
        return new JsonResponse([
            'sums' => array_map(
                static fn (Sum $s): array => [
                    'name' => $s->name(),
                    'title' => Words::title($s->name()),
                    'says' => $s->says(),
                    'takes' => $s->takes(),
                    'example' => $s->example(),
                    'typed' => Typed::write($s->example(), Unit::Millimetre),
                    'typed_in' => Typed::write($s->example(), Unit::Inch),
                    'words' => Words::of($s->name()),
                    'choices' => (object) Words::choices($s->name()),
                    'sizes' => Words::sizes($s->name()),
                ],
                Sums::all(),
            ),
        ]);
    }

    public function typed(Request $request, string $name): JsonResponse
    {
        $body = new Fields(Body::array($request));
        $body->only(['given', 'unit']);

        return new JsonResponse(
            Sums::runTyped($name, $body->textMap('given'), $body->choice('unit', Unit::class)),
        );
    }

    /** Places out of a DXF or a table, to look at before they are taken. */
    public function points(Request $request): JsonResponse
    {
        $in = Body::of($request, self::MAX_BYTES)->only(['text', 'unit']);
        $read = PointsIn::read($in->text('text'), $in->choice('unit', Unit::class));

        return new JsonResponse([
            'points' => $read['points'],
            'refused' => $read['refused'],
            'unit' => $read['unit']->value,
            'said' => $read['said'],
            'others' => $read['others'],
            'numbered' => $read['numbered'],
        ]);
    }

    /** The outline of a plate out of a DXF, to look at before it is taken. */
    public function outline(Request $request): JsonResponse
    {
        $in = Body::of($request, self::MAX_BYTES)->only(['text', 'unit']);
        $unit = $in->choice('unit', Unit::class);
        $corners = OutlineIn::read($in->text('text'), $unit);
        if ($corners === []) {
            throw new BadInput('no-outline', 'text', 'There is no closed outline in this file: it wants lines and arcs (DXF) that meet end to end all round.');
        }
        $said = PointsIn::unitOf(str_replace(["\r\n", "\r"], "\n", $in->text('text')));

        return new JsonResponse(['corners' => $corners, 'unit' => ($said ?? $unit)->value, 'said' => $said !== null]);
    }

    public function run(Request $request, string $name): JsonResponse
    {
        return new JsonResponse(Sums::run($name, Body::array($request)));
    }
}
