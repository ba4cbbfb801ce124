<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\Act;
use App\People\Here;
use App\People\NotIn;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What is asked needs somebody who may do it. */
final class May
{
    public function handle(Request $request, Closure $next, string $act): Response
    {
        if (! Here::signsIn()) {
            return $next($request);
        }
        $person = Here::person();
        if ($person === null) {
            throw new NotIn('sign-in', 'Sign in first. What you typed is kept, and stored under your name then.');
        }
        // A page that was opened by somebody else must not write under this name.
        $believed = $request->headers->get('X-Person');
        if ($believed !== null && $believed !== $person->id) {
            throw new NotIn('somebody-else', 'Somebody else is signed in on this device now. The page is loaded anew.');
        }
        Here::refuseUnless(Act::from($act));

        return $next($request);
    }
}
