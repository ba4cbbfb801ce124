<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Person;
use App\People\Here;
use Closure;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Http\Request;
use Illuminate\Pipeline\Pipeline;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;

/**
 * Where people sign in: who sits at this device, until they leave, or a shift is over, or their PIN or part in the shop
 * changes. On the shop's own machine there is neither a cookie nor a session.
 */
final class Sittings
{
    /**
     * The device is told its sitting when somebody signs in or out, and now and then so that it lasts; not with every
     * answer: one that was asked for before and comes after would put the old sitting in the place of the new one.
     */
    private const TOLD_S = 300;

    public function __construct(private readonly Pipeline $pipeline)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        if (! Here::signsIn()) {
            return $next($request);
        }

        $told = $request->is('api/me', 'api/me/*');
        $response = $this->pipeline
            ->send($request)
            ->through([EncryptCookies::class, AddQueuedCookiesToResponse::class, StartSession::class])
            ->then(static function (Request $request) use ($next, &$told): Response {
                $person = Here::guard()->user();
                $since = (int) $request->session()->get('since', 0);
                $over = $since + 3600 * (int) config('session.longest_h') <= time();
                if ($person instanceof Person && ($over || $since < $person->sits_from || $person->left_at !== null)) {
                    Here::guard()->logout();
                    $request->session()->invalidate();
                }

                $response = $next($request);
                $session = $request->session();
                if (Here::guard()->user() !== null && time() - (int) $session->get('told', 0) >= self::TOLD_S) {
                    $session->put('told', time());
                    $told = true;
                }

                return $response;
            });
        if (! $told) {
            $response->headers->removeCookie((string) config('session.cookie'), (string) config('session.path'), config('session.domain'));
        }

        return $response;
    }
}
