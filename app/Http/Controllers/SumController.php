<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Sum\Sum;
use Oldpart\Core\Sum\Sums;

final class SumController
{
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'sums' => array_map(
                static fn (Sum $s): array => [
                    'name' => $s->name(),
                    'says' => $s->says(),
                    'takes' => $s->takes(),
                    'example' => $s->example(),
                ],
                Sums::all(),
            ),
        ]);
    }

    public function run(Request $request, string $name): JsonResponse
    {
        return new JsonResponse(Sums::run($name, Body::array($request)));
    }
}
