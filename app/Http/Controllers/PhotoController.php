<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\FactList;
use App\Bench\JobStore;
use App\Change\FactChange;
use App\Http\Id;
use App\Photos\Photographs;
use App\Wire\Sent;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\PhotoFacts;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

final class PhotoController
{
    public function __construct(private readonly JobStore $store, private readonly Photographs $photographs)
    {
    }

    /** The picture itself is the body; what it shows is added as a fact of the job. Sent twice it is one photograph. */
    public function store(Request $request, string $job, string $photo): JsonResponse
    {
        $id = Id::of($photo);
        $version = $request->query('version');
        $change = $request->query('request');
        if (! is_string($version) || ! ctype_digit($version) || ! is_string($change) || $change === '') {
            throw new BadInput(
                'bad-field',
                'version',
                'A photograph needs the job’s version and a request id beside it.',
            );
        }
        $there = array_column(
            array_map(static fn (PhotoFacts $p): array => ['id' => $p->id], $this->store->facts($job)->photos),
            'id',
        );
        if (in_array($id, $there, true)) {
            // Sent again, or by mistake under the name of another: what is there stays.
            return Sent::state($request, $this->store->state($job), 201);
        }
        $picture = $this->photographs->prepare($job, $id, $request->getContent());
        $surface = $request->query('surface');
        try {
            $state = $this->store->apply($job, (int) $version, $change, [
                new FactChange(FactList::Photos, $id, [
                    'width' => $picture->width,
                    'height' => $picture->height,
                    'surface' => is_string($surface) && $surface !== '' ? $surface : null,
                    'taken_at' => now()->toIso8601ZuluString(),
                ]),
            ]);
            $picture->put();
        } catch (\Throwable $e) {
            $picture->drop();
            throw $e;
        }

        return Sent::state($request, $state, 201);
    }

    public function show(Request $request, string $job, string $photo): BinaryFileResponse
    {
        $path = $this->photographs->find(Id::of($job), Id::of($photo), $request->query('small') === '1');

        return $path === null
            ? throw new NotFoundHttpException()
            : new BinaryFileResponse($path, 200, [
                'Content-Type' => 'image/jpeg',
                'Cache-Control' => 'private, max-age=86400',
                'X-Content-Type-Options' => 'nosniff',
            ]);
    }
}
