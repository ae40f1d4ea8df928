<?php

declare(strict_types=1);

namespace App\Ground;

use App\Crops\Crop;
use App\People\User;

/** Saves a person's own price of a crop, or deletes it. */
final class SavePrice
{
    /** @param  float|null  $price  null: deleted */
    public function execute(User $user, Crop $crop, ?float $price): void
    {
        $own = ['user_id' => $user->id, 'crop_id' => $crop->id];
        if ($price === null) {
            Price::query()->where($own)->delete();
        } else {
            Price::query()->upsert([$own + ['price' => $price]], ['user_id', 'crop_id'], ['price']);
        }
    }
}
