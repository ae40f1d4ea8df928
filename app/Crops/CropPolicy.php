<?php

declare(strict_types=1);

namespace App\Crops;

use App\People\User;

/** The crop book is the educator's, because every window depends on it. */
class CropPolicy
{
    public function create(User $user): bool
    {
        return $user->role->doesEducatorsWork();
    }

    public function update(User $user, Crop $crop): bool
    {
        return $user->role->doesEducatorsWork();
    }
}
