<?php

declare(strict_types=1);

namespace App\Desk;

use App\Operations\EventLog;
use App\People\Login;
use App\People\Membership;
use App\People\OfficeOfPerson;
use App\People\SaveAccount;
use App\People\SaveSecondFactor;
use App\People\SessionLogin;
use App\People\User;
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

    /** The session's key for somebody who gave the right password but not the code yet. */
    private const WAITING = 'waits-for-code';

    private const CODE_WITHIN_MIN = 5;

    public function show(Request $request): SessionResource
    {
        return new SessionResource($request->user());
    }

    public function store(Request $request, SaveAccount $account): SessionResource
    {
        $credentials = $request->validate([
            'email' => ['required', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:1000'],
        ]);
        // Only failed tries count, for this account from this network address.
        $tries = 'login|'.mb_strtolower($credentials['email']).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE)) {
            abort(429, 'Too many tries. Wait '.RateLimiter::availableIn($tries).' seconds and try again.');
        }
        if (! config('anthesis.demonstration') && $credentials['password'] === DemoSeeder::PASSWORD) {
            RateLimiter::hit($tries);
            throw ValidationException::withMessages([
                'password' => 'Everybody knows the demonstration’s password, so it is not accepted here. Ask your administrator for your own.',
            ]);
        }
        $credentials['email'] = mb_strtolower($credentials['email']);
        // Takes just as long for an address that nobody here has.
        $user = Auth::validate($credentials) ? Auth::getLastAttempted() : null;
        if (! $user instanceof User || ! $user->isActive()) {
            RateLimiter::hit($tries);
            Log::notice('log-in refused', EventLog::told($request));
            throw ValidationException::withMessages(['email' => 'The e-mail or password is wrong.']);
        }
        RateLimiter::clear($tries);
        $account->keepAsNow($user, $credentials['password']);
        if ($user->hasSecondFactor()) {
            $until = now()->addMinutes(self::CODE_WITHIN_MIN)->getTimestamp();
            $request->session()->put(self::WAITING, ['user' => $user->id, 'until' => $until]);

            return new SessionResource(null, true);
        }

        SessionLogin::enter($request, $user);

        return new SessionResource($user);
    }

    /** The second step: the phone's code, or one of those for when it is lost. */
    public function code(Request $request, SaveSecondFactor $factor): SessionResource
    {
        $code = $request->validate(['code' => ['required', 'string', 'max:20']])['code'];
        $waiting = $request->session()->get(self::WAITING);
        $user = is_array($waiting) && $waiting['until'] > now()->getTimestamp() ? User::active()->find($waiting['user']) : null;
        if ($user === null) {
            throw ValidationException::withMessages(['code' => 'That took too long. Log in with your password again.']);
        }
        // Per person, wherever they try from: somebody who tries codes already knows the password.
        $tries = "code|{$user->id}";
        if (RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE)) {
            abort(429, 'Too many tries. Wait '.RateLimiter::availableIn($tries).' seconds and try again.');
        }
        if (! $factor->takes($user, str_replace([' ', '-'], '', $code))) {
            RateLimiter::hit($tries);
            Log::notice('second step refused', EventLog::told($request, $user->id));
            throw ValidationException::withMessages(['code' => 'This code is wrong or was already used. Wait for the next one.']);
        }
        $request->session()->forget(self::WAITING);

        SessionLogin::enter($request, $user);

        return new SessionResource($user);
    }

    /** Switches the desk to another office that is open to the person. */
    public function office(Request $request): SessionResource
    {
        $user = $request->user();
        $slug = $request->validate(['office' => ['required', 'string', 'max:80']])['office'];
        $office = $user instanceof User ? Membership::openTo($user)->whereRelation('office', 'slug', $slug)->value('office_id') : null;
        if (! $user instanceof User || $office === null) {
            throw ValidationException::withMessages(['office' => 'This office is not open to you. Choose one from the list.']);
        }
        OfficeOfPerson::choose($request, $user, (int) $office);

        return new SessionResource($user);
    }

    public function destroy(Request $request): Response
    {
        Log::info('logged out', EventLog::told($request));
        Login::query()->find(SessionLogin::here($request))?->end();
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
