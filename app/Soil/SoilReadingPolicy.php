<?php

declare(strict_types=1);

namespace App\Soil;

use App\People\User;

/** The person who took a reading may withdraw it; an educator may withdraw any. */
class SoilReadingPolicy
{
    public function withdraw(User $user, SoilReading $reading): bool
    {
        return $user->role->doesEducatorsWork() || $reading->user_id === $user->id;
    }
}
