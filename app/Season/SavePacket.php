<?php

declare(strict_types=1);

namespace App\Season;

use App\Crops\Crop;
use App\People\User;

/** Saves whether a person has seed of a crop. Saying it twice changes nothing. */
final class SavePacket
{
    public function execute(User $user, Crop $crop, bool $has): void
    {
        $packet = ['user_id' => $user->id, 'crop_id' => $crop->id];
        if ($has) {
            Packet::query()->insertOrIgnore($packet);
        } else {
            Packet::query()->where($packet)->delete();
        }
    }
}
