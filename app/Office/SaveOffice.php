<?php

declare(strict_types=1);

namespace App\Office;

use App\People\User;
use Illuminate\Support\Facades\DB;

/** Saves the settings of the office. */
final class SaveOffice
{
    /** @param  array<string, mixed>  $values */
    public function execute(array $values, int $version, User $user): Office
    {
        return DB::transaction(static function () use ($values, $version, $user): Office {
            $office = Office::query()->lockForUpdate()->findOrFail(Office::inUse()->id);
            // Its address comes from its first name, and stays.
            if ($office->name === '' && is_string($values['name'] ?? null)) {
                $office->update(['slug' => Office::freeSlug($values['name'])]);
            }
            $before = $office->only(Office::WATER_RULES);
            $office->editedAt($version, $user, static fn (Office $o) => $o->update($values));
            if ($office->refresh()->only(Office::WATER_RULES) !== $before) {
                event(new WaterRulesChanged());
            }

            return $office->refresh();
        });
    }
}
