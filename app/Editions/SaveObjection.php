<?php

declare(strict_types=1);

namespace App\Editions;

use App\People\User;
use App\Zones\Zone;

/** Adds a comment to a zone's draft, once however often it is sent; answers one, once. */
final class SaveObjection
{
    public function raise(Zone $zone, string $sentAs, string $crop, string $text, User $user): Objection
    {
        return Objection::saveOnce(
            $sentAs,
            ['zone' => $zone->id, 'crop' => $crop, 'text' => $text],
            ['zone_id' => $zone->id, 'crop' => $crop, 'text' => $text, 'author' => $user->name],
        );
    }

    public function answer(Objection $objection, string $answer, User $user): void
    {
        Objection::query()
            ->whereKey($objection->id)
            ->whereNull('answer')
            ->update(['answer' => $answer, 'answered_by' => $user->name, 'answered_at' => now()]);
    }
}
