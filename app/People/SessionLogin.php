<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\EventLog;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;

/** Ties a browser's session to the log-in it belongs to. */
final class SessionLogin
{
    /** The session's key for its log-in. */
    private const KEY = 'login';

    /** Logs a person in, in a session of its own. */
    public static function enter(Request $request, User $user): void
    {
        Auth::login($user);
        $request->session()->regenerate();
        OfficeOfPerson::enter($request, $user);
        self::begin($request, $user);
        Log::info('logged in', EventLog::told($request));
    }

    /** @return Login a new one, for a session that has none */
    public static function begin(Request $request, User $user): Login
    {
        $login = Login::beginOn((string) $request->userAgent(), $user);
        $request->session()->put(self::KEY, $login->id);

        return $login;
    }

    /** @return int|null the log-in of this request's session */
    public static function here(Request $request): ?int
    {
        return $request->session()->get(self::KEY);
    }
}
