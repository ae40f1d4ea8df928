<?php

declare(strict_types=1);

namespace App\Desk;

use App\Office\Preferences;
use App\People\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Says everything in an answer in the person's own units and date style. */
final class SayAsChosen
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User) {
            Preferences::of($user)->speak();
        }

        return $next($request);
    }
}
