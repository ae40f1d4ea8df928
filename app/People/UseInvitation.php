<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Makes a person of whoever follows the link of an invitation, once. */
final class UseInvitation
{
    /** @throws ValidationException where the link is good for nothing any more */
    public function execute(string $secret, string $name, #[\SensitiveParameter] string $password): User
    {
        return DB::transaction(static function () use ($secret, $name, $password): User {
            $invitation = Invitation::open()
                ->where('token', hash('sha256', $secret))
                ->lockForUpdate()
                ->first();
            if ($invitation === null || User::query()->where('email', $invitation->email)->exists()) {
                throw ValidationException::withMessages([
                    'name' => 'This link has been used or is too old. Ask your office for a new one.',
                ]);
            }
            $invitation->update(['used_at' => now()]);
            $user = User::query()->create([
                'name' => $name,
                'email' => $invitation->email,
                'role' => $invitation->role,
                'password' => $password,
            ]);
            Change::record('joined', $user, $user, [], ['name' => $name, 'role' => $invitation->role->value]);

            return $user;
        });
    }
}
