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
    public function __construct(private readonly Pipeline $pipeline)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        if (! Here::signsIn()) {
            return $next($request);
        }

        $response = $this->pipeline
            ->send($request)
            ->through([EncryptCookies::class, AddQueuedCookiesToResponse::class, StartSession::class])
            ->then(static function (Request $request) use ($next): Response {
                $person = Here::guard()->user();
                $since = (int) $request->session()->get('since', 0);
                $over = $since + 3600 * (int) config('session.longest_h') <= time();
                if ($person instanceof Person && ($over || $since < $person->sits_from || $person->left_at !== null)) {
                    Here::guard()->logout();
                    $request->session()->invalidate();
                }

                return $next($request);
            });
        $this->tell($request, $response);

        return $response;
    }

    /**
     * The device is told its sitting when somebody signs in or out, for as long as a sitting can last, and never with
     * another answer: one that was asked for before and comes after would put the old sitting in the place of the new
     * one.
     */
    private function tell(Request $request, Response $response): void
    {
        foreach ($response->headers->getCookies() as $cookie) {
            $response->headers->removeCookie($cookie->getName(), $cookie->getPath(), $cookie->getDomain());
            if ($request->is('api/me', 'api/me/*') && ! $request->isMethodSafe()) {
                $response->headers->setCookie($cookie->withExpires(time() + 3600 * (int) config('session.longest_h')));
            }
        }
    }
}
