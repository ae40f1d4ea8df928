<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\OfficeInUse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * What an administrator does to a person in their office: another role, no access for a while, or removal. What they did stays. Nothing
 * changes for them in other offices.
 */
final class SavePerson
{
    /** @throws ValidationException if nobody would be left to manage people */
    public function role(User $person, Role $role, ?User $by): User
    {
        return self::lockedIn($person, static function (User $person, Membership $in) use ($role, $by): void {
            if ($role !== Role::Administrator) {
                self::keepOne($person, 'role');
            }
            Change::record('edited', $person, $by, ['role' => $in->role->value], ['role' => $role->value]);
            $in->update(['role' => $role]);
        });
    }

    /** @throws ValidationException for the same reason */
    public function active(User $person, bool $isActive, ?User $by): User
    {
        return self::lockedIn($person, static function (User $person, Membership $in) use ($isActive, $by): void {
            if (! $isActive) {
                self::keepOne($person, 'active');
            }
            Change::record($isActive ? 'reactivated' : 'deactivated', $person, $by);
            $in->update(['deactivated_at' => $isActive ? null : now()]);
            if (! $isActive) {
                self::closeTo($person);
            }
        });
    }

    /**
     * @param  bool  $keepsName  whether what they did still names them
     * @param  User|null  $by  null: on the command line
     *
     * @throws ValidationException for the same reason
     */
    public function remove(User $person, bool $keepsName, ?User $by): void
    {
        self::lockedIn($person, static function (User $person, Membership $in) use ($keepsName, $by): void {
            self::keepOne($person, 'keep_name');
            Change::record('removed', $person, $by, ['role' => $in->role->value]);
            $staysElsewhere = $person->worksElsewhere();
            $in->delete();
            self::closeTo($person);
            if (! $keepsName) {
                NamedRows::forget($person);
            }
            if ($staysElsewhere) {
                return;
            }
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

    /** Ends what lets somebody into this office: their tokens for it and, if no other office is open to them, their log-ins. */
    private static function closeTo(User $person): void
    {
        $person->tokens()->withTrashed()->where('office_id', OfficeInUse::one())->forceDelete();
        if (! $person->isActive()) {
            Login::endAll($person);
        }
    }

    /** @param  callable(User, Membership): void  $do */
    private static function lockedIn(User $person, callable $do): User
    {
        return DB::transaction(static function () use ($person, $do): User {
            // Locks all administrators, so two who leave at the same time do not each see the other one stay.
            Membership::query()->where('role', Role::Administrator)->lockForUpdate()->get();
            $in = Membership::query()->where('user_id', $person->id)->lockForUpdate()->firstOrFail();
            $locked = User::query()->whereKey($person->id)->lockForUpdate()->firstOrFail();
            $do($locked, $in);

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
