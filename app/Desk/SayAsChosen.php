<?php

declare(strict_types=1);

namespace App\Desk;

use App\Office\Preferences;
use App\People\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Has everything that is said in answer to a person be in their units and dates. */
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
