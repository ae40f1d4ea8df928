<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Sets up the second step of a log-in, accepts its codes, and turns it off. */
final class SaveSecondFactor
{
    private const RECOVERY_CODES = 8;

    private const RECOVERY_LENGTH = 10;

    private const WRONG = 'This code is wrong or was already used. Wait for the next one, and check that your phone’s clock is right.';

    /** @return string the secret for the app; it takes effect once one of its codes has been typed */
    public function begin(User $user): string
    {
        if ($user->hasSecondFactor()) {
            throw ValidationException::withMessages(['code' => 'You already have a second step. Turn it off first.']);
        }
        $secret = Totp::secret();
        $user->update(['totp_secret' => $secret]);

        return $secret;
    }

    /**
     * @return list<string> codes that work once each if the phone is lost; shown only now
     *
     * @throws ValidationException if the code does not belong to the secret
     */
    public function confirm(User $user, string $code): array
    {
        return DB::transaction(static function () use ($user, $code): array {
            $user = User::query()->whereKey($user->id)->lockForUpdate()->firstOrFail();
            $step = $user->totp_secret === null || $user->hasSecondFactor()
                ? null
                : Totp::stepOf($user->totp_secret, $code, now()->getTimestamp());
            if ($step === null) {
                throw ValidationException::withMessages(['code' => self::WRONG]);
            }
            $codes = array_map(static fn (): string => Str::lower(Str::random(self::RECOVERY_LENGTH)), range(1, self::RECOVERY_CODES));
            $user->update([
                'totp_since' => now(),
                'totp_step' => $step,
                'recovery_codes' => array_map(static fn (string $c): string => hash('sha256', $c), $codes),
            ]);
            Change::record('second-step-on', $user, $user);
            PlainMail::tell($user, 'second-step-on');

            return $codes;
        });
    }

    /** @return bool whether a code from the phone or a recovery code is right; it works once */
    public function takes(User $user, string $code): bool
    {
        return DB::transaction(static function () use ($user, $code): bool {
            $user = User::query()->whereKey($user->id)->lockForUpdate()->firstOrFail();
            $step = Totp::stepOf((string) $user->totp_secret, $code, now()->getTimestamp(), $user->totp_step);
            if ($step !== null) {
                return $user->update(['totp_step' => $step]);
            }
            $hash = hash('sha256', Str::lower($code));
            $left = array_values(array_diff($user->recovery_codes ?? [], [$hash]));
            if (count($left) === count($user->recovery_codes ?? [])) {
                return false;
            }
            Change::record('recovery-code-used', $user, $user);
            PlainMail::tell($user, 'recovery-code');

            return $user->update(['recovery_codes' => $left]);
        });
    }

    /** @param  User  $by  who does it: they themselves, or an administrator for somebody who lost their phone */
    public function remove(User $user, User $by): void
    {
        DB::transaction(static function () use ($user, $by): void {
            $user->update(['totp_secret' => null, 'totp_since' => null, 'totp_step' => 0, 'recovery_codes' => null]);
            Change::record('second-step-off', $user, $by);
            PlainMail::tell($user, 'second-step-off');
        });
    }
}
