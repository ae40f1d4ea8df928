<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\OfficeInUse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** Turns the person who follows an invitation's link into a user, once. */
final class UseInvitation
{
    private const SPENT = 'This link has been used or is too old. Ask your office for a new one.';

    /** @throws ValidationException if the link is no longer valid */
    public function execute(string $secret, string $name, #[\SensitiveParameter] string $password): User
    {
        return DB::transaction(static function () use ($secret, $name, $password): User {
            $invitation = self::locked($secret);
            if ($invitation === null || User::query()->where('email', $invitation->email)->exists()) {
                throw ValidationException::withMessages(['name' => self::SPENT]);
            }
            $user = User::query()->create(['name' => $name, 'email' => $invitation->email, 'password' => $password]);

            return self::enter($invitation, $user);
        });
    }

    /**
     * Lets somebody who works in another office work in this one too.
     *
     * @param  string  $password  the one they have: having the link is not enough to act in their name
     *
     * @throws ValidationException if it is wrong, or the link is no longer valid
     */
    public function join(string $secret, #[\SensitiveParameter] string $password): User
    {
        return DB::transaction(static function () use ($secret, $password): User {
            $invitation = self::locked($secret);
            $user = $invitation?->invited();
            if ($invitation === null || $user === null) {
                throw ValidationException::withMessages(['name' => self::SPENT]);
            }
            if (! Hash::check($password, $user->password)) {
                throw ValidationException::withMessages(['password' => 'This is not your password. Use the one you log in with.']);
            }

            return self::enter($invitation, $user);
        });
    }

    private static function locked(string $secret): ?Invitation
    {
        return Invitation::open()
            ->where('token', hash('sha256', $secret))
            ->lockForUpdate()
            ->first();
    }

    private static function enter(Invitation $invitation, User $user): User
    {
        $invitation->update(['used_at' => now()]);
        OfficeInUse::within($invitation->office_id, static function () use ($invitation, $user): void {
            $user->memberships()->create(['role' => $invitation->role]);
            Change::record('joined', $user, $user, [], ['name' => $user->name, 'role' => $invitation->role->value]);
        });

        return $user;
    }
}
