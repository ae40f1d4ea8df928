<?php

declare(strict_types=1);

namespace App\Zones;

use App\People\Role;
use App\People\User;

/** Everyone at the desk may see; zones, their records and editions are the educator's. */
class ZonePolicy
{
    public function create(User $user): bool
    {
        return $user->role === Role::Educator;
    }

    public function update(User $user, Zone $zone): bool
    {
        return $user->role === Role::Educator;
    }

    /** Addresses of readers are for those who answer for them. */
    public function readMail(User $user): bool
    {
        return $user->role !== Role::Volunteer;
    }

    public function publish(User $user, ?Zone $zone = null): bool
    {
        return $user->role === Role::Educator;
    }
}
