<?php

declare(strict_types=1);

namespace App\Zones;

use App\People\User;

/** Everyone at the desk may look. Zones, their records, and editions are for educators and administrators. */
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

    /** Readers' addresses are for those responsible for them. */
    public function readMail(User $user): bool
    {
        return $user->role->doesEducatorsWork();
    }

    /** As the second person, what somebody else drafted. */
    public function sign(User $user, ?Zone $zone = null): bool
    {
        return $user->role->signs();
    }

    public function publish(User $user, ?Zone $zone = null): bool
    {
        return $user->role->doesEducatorsWork();
    }
}
