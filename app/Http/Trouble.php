<?php

declare(strict_types=1);

namespace App\Http;

use App\Bench\Conflict;
use App\Gauges\GaugeSilent;
use App\People\NotIn;
use App\People\NotYours;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Sum\Sums;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Turns what goes wrong into a plain sentence; a stack trace never leaves the machine. */
final class Trouble
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([BadInput::class, Conflict::class, GaugeSilent::class, NotIn::class, NotYours::class]);
        $exceptions->render(static fn (BadInput $bad): JsonResponse => new JsonResponse(Sums::error($bad), 422));
        $exceptions->render(
            static fn (GaugeSilent $silent): JsonResponse => self::say('gauge-silent', $silent->getMessage(), 503),
        );
        $exceptions->render(
            static fn (NotIn $out): JsonResponse => self::say($out->reason, $out->getMessage(), $out->status),
        );
        $exceptions->render(
            static fn (NotYours $no): JsonResponse => self::say('not-yours', $no->getMessage(), 403),
        );
        $exceptions->render(
            static fn (Conflict $conflict): JsonResponse => new JsonResponse(
                [
                    'error' => [
                        'code' => 'changed-elsewhere',
                        'field' => 'version',
                        'message' => $conflict->getMessage(),
                    ],
                    'current' => $conflict->current,
                ],
                409,
            ),
        );
        $exceptions->render(static function (\Throwable $e, Request $request): ?JsonResponse {
            if (! $request->is('api/*')) {
                return null;
            }

            return match (true) {
                $e instanceof ModelNotFoundException, $e instanceof NotFoundHttpException => self::say(
                    'not-found',
                    'This is not on the bench. It may have been opened in another shop.',
                    404,
                ),
                // At the end of a transaction it comes without a query.
                $e instanceof \PDOException => self::fault($e),
                $e instanceof PostTooLargeException => self::say(
                    'too-large',
                    'This is over 20 MB: more than is taken here. Let the camera make smaller pictures.',
                    413,
                ),
                $e instanceof HttpExceptionInterface => self::say(
                    'http',
                    'This request is not understood here.',
                    $e->getStatusCode(),
                ),
                default => self::say('server', 'Something went wrong here. What you typed is kept; try again.', 500),
            };
        });
    }

    private static function fault(\PDOException $e): JsonResponse
    {
        $fault = StorageFault::of($e);

        return self::say($fault->value, $fault->sentence(), $fault->status());
    }

    private static function say(string $code, string $message, int $status): JsonResponse
    {
        return new JsonResponse(['error' => ['code' => $code, 'field' => '', 'message' => $message]], $status);
    }
}
