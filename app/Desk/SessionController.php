<?php

declare(strict_types=1);

namespace App\Desk;

use App\Operations\EventLog;
use Database\Seeders\DemoSeeder;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

class SessionController
{
    private const TRIES_A_MINUTE = 5;

    public function show(Request $request): SessionResource
    {
        return new SessionResource($request->user());
    }

    public function store(Request $request): SessionResource
    {
        $credentials = $request->validate([
            'email' => ['required', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:1000'],
        ]);
        // Only tries that fail count, for this address from this place.
        $tries = 'login|'.mb_strtolower($credentials['email']).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE)) {
            abort(429, 'Too many tries. Wait '.RateLimiter::availableIn($tries).' seconds and try again.');
        }
        if (! config('anthesis.demonstration') && $credentials['password'] === DemoSeeder::PASSWORD) {
            RateLimiter::hit($tries);
            throw ValidationException::withMessages([
                'password' => 'The password of the demonstration is known to everybody and is not accepted here. Ask your administrator for one of your own.',
            ]);
        }
        if (! Auth::attempt($credentials)) {
            RateLimiter::hit($tries);
            Log::notice('log-in refused', EventLog::told($request));
            throw ValidationException::withMessages(['email' => 'E-mail or password is wrong.']);
        }
        RateLimiter::clear($tries);
        $request->session()->regenerate();
        Log::info('logged in', EventLog::told($request));

        return new SessionResource($request->user());
    }

    public function destroy(Request $request): Response
    {
        Log::info('logged out', EventLog::told($request));
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
