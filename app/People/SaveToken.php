<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\OfficeInUse;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\NewAccessToken;

/** Creates and ends a person's tokens for programs, and brings back one that was just ended. */
final class SaveToken
{
    /**
     * @param  non-empty-list<Scope>  $scopes
     * @return NewAccessToken with its text, which is shown only now
     */
    public function make(User $user, string $name, array $scopes, int $days): NewAccessToken
    {
        return DB::transaction(static function () use ($user, $name, $scopes, $days): NewAccessToken {
            $abilities = array_map(static fn (Scope $s): string => $s->value, $scopes);
            $until = now()->addDays($days);
            Change::record('token-made', $user, $user, [], ['name' => $name, 'scopes' => $abilities, 'until' => $until->format('Y-m-d')]);

            $token = $user->createToken($name, $abilities, $until);
            $token->accessToken->forceFill(['office_id' => OfficeInUse::one()])->save();

            return $token;
        });
    }

    public function end(User $user, int $token): void
    {
        DB::transaction(static function () use ($user, $token): void {
            $own = $user->tokens()->where('office_id', OfficeInUse::one())->whereKey($token)->firstOrFail();
            Change::record('token-ended', $user, $user, ['name' => $own->name]);
            $own->delete();
        });
    }

    /** @throws ModelNotFoundException if it ended too long ago, or is somebody else's */
    public function restore(User $user, int $token): void
    {
        DB::transaction(static function () use ($user, $token): void {
            $own = Token::undoable()
                ->whereMorphedTo('tokenable', $user)
                ->where('office_id', OfficeInUse::one())
                ->whereKey($token)
                ->firstOrFail();
            $own->restore();
            Change::record('token-restored', $user, $user, [], ['name' => $own->name]);
        });
    }
}
