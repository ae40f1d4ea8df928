<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\Answer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;

/** Invitations: sent and withdrawn by administrators, and used by the person with the link. */
class InvitationController
{
    private const NO_LINK = 'This link has been used or is too old. Ask your office for a new one.';

    public function store(Request $request, SendInvitation $send): JsonResponse
    {
        Gate::authorize('manage', User::class);
        $asked = $request->validate([
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:190'],
            'role' => ['required', new Enum(Role::class)],
        ]);
        $made = $send->execute($asked['name'], $asked['email'], Role::from($asked['role']), $request->user() ?? abort(401));

        return Answer::of(['id' => $made->id], 201);
    }

    public function destroy(Request $request, Invitation $invitation, SendInvitation $send): Response
    {
        Gate::authorize('manage', User::class);
        $send->withdraw($invitation, $request->user() ?? abort(401));

        return response()->noContent();
    }

    /** Who is invited, for the person with the link. */
    public function show(string $secret): JsonResponse
    {
        $invitation = Invitation::of($secret) ?? abort(404, self::NO_LINK);

        return Answer::of($invitation->only(['name', 'email']) + [
            'role' => $invitation->role->value,
            'office' => $invitation->office->name,
            'has_account' => $invitation->invited() !== null,
        ]);
    }

    public function accept(Request $request, string $secret, UseInvitation $use): JsonResponse
    {
        $asked = $request->validate([
            'name' => ['required', 'string', 'max:120'],
            'password' => ['required', 'string', 'max:1000'],
        ]);
        if (Invitation::of($secret)?->invited() !== null) {
            // They use the password they already have: they log in with it, and with its second step if there is one.
            $user = $use->join($secret, $asked['password']);
        } else {
            $request->validate(['password' => [new PasswordRule()]]);
            $user = $use->execute($secret, $asked['name'], $asked['password']);
            SessionLogin::enter($request, $user);
        }

        return Answer::of(['name' => $user->name, 'logged_in' => $request->user() !== null], 201);
    }
}
