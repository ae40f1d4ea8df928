<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** A person's own name, address, and password. */
final class SaveAccount
{
    private const LINK_GOOD_FOR_H = 24;

    public function name(User $user, string $name): void
    {
        DB::transaction(static function () use ($user, $name): void {
            Change::record('edited', $user, $user, ['name' => $user->name], ['name' => $name]);
            $user->update(['name' => $name]);
        });
    }

    /** Sends a link to the new address; the old one stays until it is followed. */
    public function askForEmail(User $user, string $email): void
    {
        $email = mb_strtolower($email);
        $secret = Str::random(48);
        DB::transaction(static function () use ($user, $email, $secret): void {
            $user->update([
                'new_email' => $email,
                'new_email_token' => hash('sha256', $secret),
                'new_email_until' => now()->addHours(self::LINK_GOOD_FOR_H),
            ]);
            // This does not tell whether somebody already has the address; the link would then be refused.
            Mail::to($email)
                ->locale($user->language)
                ->send(new PlainMail('new-address', "/desk/new-address/{$secret}", ['name' => $user->name]));
        });
    }

    /** @throws ValidationException if the link is no longer valid */
    public function confirmEmail(string $secret): User
    {
        return DB::transaction(static function () use ($secret): User {
            $user = User::active()
                ->where('new_email_token', hash('sha256', $secret))
                ->where('new_email_until', '>', now())
                ->lockForUpdate()
                ->first();
            if ($user === null || User::query()->where('email', $user->new_email)->exists()) {
                throw ValidationException::withMessages([
                    'link' => 'This link has been used or is too old. Ask for a new one in your profile.',
                ]);
            }
            Change::record('address-changed', $user, $user);
            // The old address is notified, because its owner may not know about it.
            PlainMail::tell($user, 'address');
            $user->update(['email' => $user->new_email, 'new_email' => null, 'new_email_token' => null, 'new_email_until' => null]);

            return $user;
        });
    }

    /** A password stored in an older way is stored in the current one, now that it is known. */
    public function keepAsNow(User $user, #[\SensitiveParameter] string $password): void
    {
        if (Hash::needsRehash($user->password)) {
            $user->update(['password' => $password]);
        }
    }

    /** @param  int|null  $here  the log-in that stays; all others end */
    public function password(User $user, #[\SensitiveParameter] string $password, ?int $here): void
    {
        DB::transaction(static function () use ($user, $password, $here): void {
            $user->update(['password' => $password]);
            Login::endAll($user, $here);
            Change::record('password-changed', $user, $user);
            PlainMail::tell($user, 'password');
        });
    }
}
