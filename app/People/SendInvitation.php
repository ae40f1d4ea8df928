<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Invites a person by e-mail. Somebody who is invited again gets a new link, and the old one stops working. */
final class SendInvitation
{
    private const GOOD_FOR_DAYS = 7;

    /** @throws ValidationException if somebody here already has that address */
    public function execute(string $name, string $email, Role $role, User $by): Invitation
    {
        $email = mb_strtolower($email);
        $secret = Str::random(48);

        return DB::transaction(static function () use ($name, $email, $role, $by, $secret): Invitation {
            // This does not tell that somebody works in another office: they are asked to join this one too.
            if (User::query()->where('email', $email)->whereHas('memberships')->exists()) {
                throw ValidationException::withMessages(['email' => 'Somebody here already has this address. Look for them in the list.']);
            }
            Invitation::open()
                ->where('email', $email)
                ->update(['withdrawn_at' => now()]);
            $invitation = Invitation::query()->create([
                'name' => $name,
                'email' => $email,
                'role' => $role,
                'token' => hash('sha256', $secret),
                'invited_by' => $by->id,
                'expires_at' => now()->addDays(self::GOOD_FOR_DAYS),
            ]);
            Change::record('invited', $invitation, $by, [], ['name' => $name, 'role' => $role->value]);
            Mail::to($email)->send(new PlainMail('invitation', "/desk/invitation/{$secret}", ['name' => $name, 'by' => $by->name]));

            return $invitation;
        });
    }

    public function withdraw(Invitation $invitation, User $by): void
    {
        DB::transaction(static function () use ($invitation, $by): void {
            $invitation->update(['withdrawn_at' => now()]);
            Change::record('withdrawn', $invitation, $by, ['name' => $invitation->name, 'role' => $invitation->role->value]);
        });
    }
}
