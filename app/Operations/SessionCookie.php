<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers to questions do not set the cookies of a session again that the request came with. An answer that is late would else put
 * the cookie of a session that is over in the place of the one a person has since logged in with. Pages and changes renew it.
 */
final class SessionCookie
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // A cookie that came by TLS goes by TLS alone.
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
