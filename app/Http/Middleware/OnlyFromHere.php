<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Keeps other web pages out: only host names that are this shop's own are answered, and only its own pages may change
 * anything, with JSON or a picture. A page from elsewhere can send forms and plain text; this refuses them.
 */
final class OnlyFromHere
{
    private const CHANGES = ['POST', 'PUT', 'PATCH', 'DELETE'];

    private const PICTURES = ['image/jpeg', 'image/png', 'image/webp', 'application/octet-stream'];

    public function handle(Request $request, Closure $next): Response
    {
        if (! in_array(strtolower(self::name((string) $request->headers->get('Host', ''))), self::hosts(), true)) {
            return self::refuse(
                'unknown-host',
                'This shop does not go by that name. Open it by its own address; ALLOWED_HOSTS names others.',
                421,
            );
        }
        if (! in_array($request->getRealMethod(), self::CHANGES, true)) {
            return $next($request);
        }
        $origin = $request->headers->get('Origin');
        $site = $request->headers->get('Sec-Fetch-Site');
        if (
            ($origin !== null && ! self::isOwn($origin, $request))
            || ($site !== null && ! in_array($site, ['same-origin', 'none'], true))
        ) {
            return self::refuse('from-elsewhere', 'Only the shop’s own pages may change anything here.', 403);
        }
        $type = strtolower(trim(explode(';', (string) $request->headers->get('Content-Type', ''))[0]));
        $picture = preg_match('~^/api/jobs/[^/]+/pictures/[^/]+$~', $request->getPathInfo()) === 1;
        // A form can't send DELETE; one without a body has no kind of body.
        if ($request->getRealMethod() === 'DELETE' && $request->getContent() === '') {
            return $next($request);
        }
        if (! in_array($type, $picture ? self::PICTURES : ['application/json'], true)) {
            return self::refuse(
                'not-json',
                $picture
                    ? 'Send the photograph as JPEG, PNG or WebP.'
                    : 'Send JSON, and say so: Content-Type application/json.',
                415,
            );
        }

        return $next($request);
    }

    /** @return list<string> */
    private static function hosts(): array
    {
        $more = config('shop.hosts');

        return [
            '127.0.0.1',
            'localhost',
            '[::1]',
            ...array_values(
                array_filter(
                    array_map(
                        static fn (string $h): string => strtolower(trim($h)),
                        explode(',', is_string($more) ? $more : ''),
                    ),
                ),
            ),
        ];
    }

    /** The page's own scheme, name and port. */
    private static function isOwn(string $origin, Request $request): bool
    {
        $parts = parse_url($origin);
        $host = (string) $request->headers->get('Host', '');

        return is_array($parts)
            && isset($parts['scheme'], $parts['host'])
            && in_array($parts['scheme'], ['http', 'https'], true)
            && strcasecmp($parts['host'].(isset($parts['port']) ? ":{$parts['port']}" : ''), $host) === 0;
    }

    private static function name(string $host): string
    {
        return (string) preg_replace('/:\d+$/', '', trim($host));
    }

    private static function refuse(string $code, string $says, int $status): JsonResponse
    {
        return new JsonResponse(['error' => ['code' => $code, 'field' => '', 'message' => $says]], $status);
    }
}
