<?php

declare(strict_types=1);

namespace App\Ground;

use App\People\Change;
use App\People\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes a new secret address for a person's task feeds; the old one stops working. */
final class SaveFeedLink
{
    public function execute(User $user): string
    {
        $token = Str::random(48);
        DB::transaction(static function () use ($user, $token): void {
            $user->forceFill(['feed_token' => $token])->save();
            Change::record('feed-renewed', $user, $user);
        });

        return $token;
    }
}
