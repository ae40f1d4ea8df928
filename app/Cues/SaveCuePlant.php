<?php

declare(strict_types=1);

namespace App\Cues;

use Anthesis\Log\LoggedAct;
use App\Log\CuePlant;
use App\Log\LogEntry;

/** Adds a plant with a stage to the county's list, once; and removes one that nobody has seen yet. */
final class SaveCuePlant
{
    public function execute(string $name, string $stage, ?string $note): CuePlant
    {
        return CuePlant::query()->createOrFirst(['name' => $name, 'stage' => $stage], ['note' => $note]);
    }

    /** @return bool false if it was seen: then it stays */
    public function remove(CuePlant $plant): bool
    {
        if (LogEntry::query()->where('act', LoggedAct::Seen)->where('told->cue', $plant->id)->exists()) {
            return false;
        }
        $plant->delete();

        return true;
    }
}
