<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** What an administrator does to a person: another role, no way in for a while, or gone for good. What they did stays. */
final class SavePerson
{
    /** @throws ValidationException where nobody would be left to look after people */
    public function role(User $person, Role $role, ?User $by): User
    {
        return self::lockedIn($person, static function (User $person) use ($role, $by): void {
            if ($role !== Role::Administrator) {
                self::keepOne($person, 'role');
            }
            Change::record('edited', $person, $by, ['role' => $person->role->value], ['role' => $role->value]);
            $person->update(['role' => $role]);
        });
    }

    /** @throws ValidationException as above */
    public function active(User $person, bool $isActive, ?User $by): User
    {
        return self::lockedIn($person, static function (User $person) use ($isActive, $by): void {
            if (! $isActive) {
                self::keepOne($person, 'active');
                Login::endAll($person);
            }
            Change::record($isActive ? 'reactivated' : 'deactivated', $person, $by);
            $person->update(['deactivated_at' => $isActive ? null : now()]);
        });
    }

    /**
     * @param  bool  $keepsName  whether what they did still names them
     * @param  User|null  $by  null: on the command line
     *
     * @throws ValidationException as above
     */
    public function remove(User $person, bool $keepsName, ?User $by): void
    {
        self::lockedIn($person, static function (User $person) use ($keepsName, $by): void {
            self::keepOne($person, 'keep_name');
            Login::endAll($person);
            Change::record('removed', $person, $by, ['role' => $person->role->value]);
            $person->tokens()->delete();
            if (! $keepsName) {
                $person->delete();

                return;
            }
            $person->update([
                'email' => "removed-{$person->id}@localhost.invalid",
                'password' => Str::random(64),
                'removed_at' => now(),
                'feed_token' => null,
                'new_email' => null,
                'new_email_token' => null,
                'totp_secret' => null,
                'totp_since' => null,
                'recovery_codes' => null,
            ]);
        });
    }

    /** @param  callable(User): void  $do */
    private static function lockedIn(User $person, callable $do): User
    {
        return DB::transaction(static function () use ($person, $do): User {
            // All administrators, so that two who leave at once do not both see the other one stay.
            User::query()->where('role', Role::Administrator)->lockForUpdate()->get();
            $locked = User::query()->whereKey($person->id)->whereNull('removed_at')->lockForUpdate()->firstOrFail();
            $do($locked);

            return $locked;
        });
    }

    private static function keepOne(User $person, string $field): void
    {
        if ($person->isLastAdministrator()) {
            throw ValidationException::withMessages([
                $field => "{$person->name} is the only administrator. Make somebody else an administrator first.",
            ]);
        }
    }
}
