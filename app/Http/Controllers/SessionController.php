<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\SessionResource;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
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
        $credentials = $request->validate(['email' => ['required', 'email'], 'password' => ['required', 'string']]);
        // Only tries that fail count, for this address from this place.
        $tries = 'login|'.mb_strtolower($credentials['email']).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE)) {
            abort(429, 'Too many tries. Wait '.RateLimiter::availableIn($tries).' seconds and try again.');
        }
        if (! Auth::attempt($credentials)) {
            RateLimiter::hit($tries);
            throw ValidationException::withMessages(['email' => 'Address and password do not belong together.']);
        }
        RateLimiter::clear($tries);
        $request->session()->regenerate();

        return new SessionResource($request->user());
    }

    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
