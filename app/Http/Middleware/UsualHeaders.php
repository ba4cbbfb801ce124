<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\Here;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a browser is told about every answer: nothing from elsewhere runs in it, nothing frames it, nothing is guessed.
 */
final class UsualHeaders
{
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        header_remove('X-Powered-By');
        $response->headers->remove('X-Powered-By');
        $headers = [
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'no-referrer',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Permissions-Policy' => 'serial=(self), camera=(self), geolocation=(), microphone=(), payment=()',
        ];
        // A PDF is shown by the browser's own viewer, which brings styles of its own.
        $type = (string) $response->headers->get('Content-Type', '');
        if (str_starts_with($type, 'text/html')) {
            $headers[
                'Content-Security-Policy'
            ] = "default-src 'none'; script-src 'self' 'nonce-{$nonce}'; style-src 'self' 'nonce-{$nonce}'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
        } elseif ($request->path() === 'sw.js') {
            // What it fetches for the page is held by this.
            $headers['Content-Security-Policy'] = "default-src 'none'; script-src 'self'; connect-src 'self'; frame-ancestors 'none'";
        } elseif (! str_starts_with($type, 'application/pdf')) {
            $headers['Content-Security-Policy'] = "default-src 'none'; frame-ancestors 'none'";
        }
        if (Here::signsIn() && str_starts_with($request->path(), 'api/')) {
            // Kept on a device only where the page itself keeps it, and clears it.
            $headers['Cache-Control'] = 'no-store, private';
        }
        foreach ($headers as $name => $value) {
            $response->headers->set($name, $value);
        }

        return $response;
    }
}
