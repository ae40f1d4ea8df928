<?php

declare(strict_types=1);

namespace App\Zones;

use App\People\User;

/** Everyone at the desk may see; zones, their records and editions are for those who do an educator's work. */
class ZonePolicy
{
    public function create(User $user): bool
    {
        return $user->role->doesEducatorsWork();
    }

    public function update(User $user, Zone $zone): bool
    {
        return $user->role->doesEducatorsWork();
    }

    /** Addresses of readers are for those who answer for them. */
    public function readMail(User $user): bool
    {
        return $user->role->doesEducatorsWork();
    }

    /** As the second, what another has drafted. */
    public function sign(User $user, ?Zone $zone = null): bool
    {
        return $user->role->signs();
    }

    public function publish(User $user, ?Zone $zone = null): bool
    {
        return $user->role->doesEducatorsWork();
    }
}
