<?php

declare(strict_types=1);

namespace App\Gardener;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Tells a request the reading its address begins with. */
final class ReadAs
{
    public function handle(Request $request, Closure $next, string $name = ''): Response
    {
        $reading = Reading::named($name) ?? abort(404);
        $request->attributes->set(Reading::class, $reading);
        app()->setLocale($reading->language);

        return $next($request);
    }
}
