<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Checks that the person is still allowed in, in an office that is open to them: their log-in was not ended from elsewhere, and they were
 * not deactivated. If the office requires a second step, somebody without one can only set it up.
 */
final class KnownLogin
{
    /** What is open without a second step: who is here, setting it up, and logging out. */
    private const OPEN = ['api/session', 'api/session/office', 'api/profile/account', 'api/profile/second-factor', 'desk', 'desk/*', 'log'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ! $this->isKnown($request, $user)) {
            Auth::logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();
        } elseif ($user instanceof User && $user->mustSetSecondFactor() && ! $request->is(...self::OPEN)) {
            abort(403, 'Your office requires a second step when logging in. Set it up in your profile first.');
        }

        return $next($request);
    }

    private function isKnown(Request $request, User $user): bool
    {
        if (! OfficeOfPerson::enter($request, $user)) {
            return false;
        }
        $id = SessionLogin::here($request);
        $login = $id === null ? null : Login::query()->find($id);
        // A session from before log-ins were recorded, or one that belonged to somebody else, gets a log-in of its own. One that was ended
        // is refused at its next request, long before it is forgotten.
        if ($login?->user_id !== $user->id) {
            $login = SessionLogin::begin($request, $user);
        }
        if ($login->ended_at !== null) {
            return false;
        }
        $login->seen();

        return true;
    }
}
