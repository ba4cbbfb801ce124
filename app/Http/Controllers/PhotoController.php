<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\FactList;
use App\Bench\JobStore;
use App\Photos\Photographs;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
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
        $id = self::id($photo);
        $version = $request->query('version');
        $change = $request->query('request');
        if (! is_string($version) || ! ctype_digit($version) || ! is_string($change) || $change === '') {
            throw new BadInput('bad-field', 'version', 'A photograph needs the job’s version and a request id beside it.');
        }
        $this->store->facts($job);
        $size = $this->photographs->keep($job, $id, $request->getContent());
        $surface = $request->query('surface');

        return new JsonResponse($this->store->change($job, (int) $version, $change, FactList::Photos, $id, [
            ...$size, 'surface' => is_string($surface) && $surface !== '' ? $surface : null, 'taken_at' => now()->toIso8601ZuluString(),
        ]), 201);
    }

    public function show(Request $request, string $job, string $photo): BinaryFileResponse
    {
        $path = $this->photographs->find(self::id($job), self::id($photo), $request->query('small') === '1');

        return $path === null ? throw new NotFoundHttpException : new BinaryFileResponse($path, 200, [
            'Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400', 'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    private static function id(string $id): string
    {
        return preg_match('/^[A-Za-z0-9_-]{1,40}$/', $id) === 1 ? $id : throw new BadInput('bad-id', 'id', 'An id is 1 to 40 letters, digits, - or _.');
    }
}
