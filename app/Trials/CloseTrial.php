<?php

declare(strict_types=1);

namespace App\Trials;

use App\People\User;
use Illuminate\Support\Facades\DB;

/** Closes a trial with a sentence, which goes into the crop's dossier; and opens it again. */
final class CloseTrial
{
    public function execute(Trial $trial, string $conclusion, User $user): void
    {
        DB::transaction(static function () use ($trial, $conclusion, $user): void {
            // The first word stands, should two close it at once.
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
