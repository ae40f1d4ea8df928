<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers to read requests do not set the session cookies that came with the request again. Otherwise a late answer would replace the
 * cookie of the session a person has since logged in to with that of the session that ended. Pages and changes renew it.
 */
final class SessionCookie
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // A cookie received over TLS is only sent over TLS.
        config(['session.secure' => $request->isSecure()]);
        $response = $next($request);
        $name = (string) config('session.cookie');
        // By now the request's own cookies are readable.
        if (
            $request->isMethodSafe() &&
            $request->is('api/*') &&
            $request->hasSession() &&
            $request->cookies->get($name) === $request->session()->getId()
        ) {
            foreach ([$name, 'XSRF-TOKEN'] as $cookie) {
                $response->headers->removeCookie($cookie, (string) config('session.path'), config('session.domain'));
            }
        }

        return $response;
    }
}
