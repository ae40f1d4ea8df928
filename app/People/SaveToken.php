<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\OfficeInUse;
use Illuminate\Support\Facades\DB;

/** Creates and ends a person's tokens for programs. */
final class SaveToken
{
    /**
     * @param  non-empty-list<Scope>  $scopes
     * @return string the token: shown only now
     */
    public function make(User $user, string $name, array $scopes, int $days): string
    {
        return DB::transaction(static function () use ($user, $name, $scopes, $days): string {
            $abilities = array_map(static fn (Scope $s): string => $s->value, $scopes);
            $until = now()->addDays($days);
            Change::record('token-made', $user, $user, [], ['name' => $name, 'scopes' => $abilities, 'until' => $until->format('Y-m-d')]);

            $token = $user->createToken($name, $abilities, $until);
            $token->accessToken->forceFill(['office_id' => OfficeInUse::one()])->save();

            return $token->plainTextToken;
        });
    }

    public function end(User $user, int $token): void
    {
        DB::transaction(static function () use ($user, $token): void {
            $own = $user->tokens()->where('office_id', OfficeInUse::one())->whereKey($token)->firstOrFail();
            Change::record('token-ended', $user, $user, ['name' => $own->getAttribute('name')]);
            $own->delete();
        });
    }
}
