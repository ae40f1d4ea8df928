<?php

declare(strict_types=1);

namespace App\Desk;

use App\People\User;
use App\Zones\Zone;

/** Saves what a person chooses for themselves. */
final class SaveProfile
{
    /**
     * @param  string|null  $units  null: the office's
     * @param  string|null  $dates  null: the office's style
     * @param  string|null  $homeZone  slug; null: none
     * @param  string|null  $language  of e-mails to them; null: English
     * @param  bool  $digest  whether they get an e-mail each morning about what needs attention
     */
    public function execute(User $user, ?string $units, ?string $dates, ?string $homeZone, ?string $language, bool $digest): User
    {
        $user->update([
            'units' => $units,
            'dates' => $dates,
            'language' => $language,
            'digest' => $digest,
            'home_zone_id' => $homeZone === null ? null : Zone::query()->where('slug', $homeZone)->value('id'),
        ]);

        return $user->refresh();
    }

    /** @return string|null slug of the zone their desk opens on; null: none chosen */
    public static function homeZone(User $user): ?string
    {
        return $user->home_zone_id === null ? null : Zone::query()->whereKey($user->home_zone_id)->value('slug');
    }
}
