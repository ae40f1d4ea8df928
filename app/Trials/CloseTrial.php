<?php

declare(strict_types=1);

namespace App\Trials;

use App\People\User;
use Illuminate\Support\Facades\DB;

/** Closes a trial with a sentence, which becomes part of the crop's evidence; and opens it again. */
final class CloseTrial
{
    public function execute(Trial $trial, string $conclusion, User $user): void
    {
        DB::transaction(static function () use ($trial, $conclusion, $user): void {
            // If two people close it at the same time, the first one counts.
            Trial::query()
                ->whereKey($trial->id)
                ->whereNull('closed_on')
                ->update(['conclusion' => $conclusion, 'closed_on' => $trial->zone->today()->iso(), 'closed_by' => $user->name]);
        });
    }

    public function reopen(Trial $trial): void
    {
        $trial->update(['conclusion' => null, 'closed_on' => null, 'closed_by' => null]);
    }
}
