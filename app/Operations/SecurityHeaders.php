<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/**
 * Everything comes from this server, and nothing runs inline. A public page carries its styles, so it appears right away on a slow
 * connection, and allows exactly those by their hash (`gardener.blade.php`). At the desk, styles carry the page's nonce, which the
 * interface library writes. The phone's log has no inline styles.
 */
class SecurityHeaders
{
    private const POLICY =
        "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; ".
        "connect-src 'self'; worker-src 'self'; manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /** Once it has used TLS, a browser uses only TLS for a year. */
    private const TLS_ALONE_S = 31_536_000;

    /** For a page that any other page may embed in a frame: it runs nothing. */
    public const FRAMED = "default-src 'none'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; ".
        "base-uri 'none'; form-action 'none'; frame-ancestors *";

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = $request->is('desk', 'desk/*') ? Vite::useCspNonce() : null;
        $response = $next($request);
        $framed = $response->headers->get('Content-Security-Policy') === self::FRAMED;
        $response->headers->add(
            [
                'X-Content-Type-Options' => 'nosniff',
                'Referrer-Policy' => 'same-origin',
                'Permissions-Policy' => 'camera=(), microphone=(), geolocation=(self)',
            ] +
                ($request->isSecure() ? ['Strict-Transport-Security' => 'max-age='.self::TLS_ALONE_S] : []) +
                ($framed
                    ? []
                    : [
                        'Content-Security-Policy' => match (true) {
                            $nonce !== null => str_replace("'unsafe-inline'", "'nonce-{$nonce}'", self::POLICY),
                            $request->is('log') => str_replace(" 'unsafe-inline'", '', self::POLICY),
                            default => self::POLICY,
                        },
                        'X-Frame-Options' => 'DENY',
                        'Cross-Origin-Opener-Policy' => 'same-origin',
                    ]),
        );

        // Nothing personal is cached along the way. If a response says how long it may be cached, somebody thought about it.
        if ($request->is('api/*', 'desk-files/*') && ! $response->headers->hasCacheControlDirective('max-age')) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
