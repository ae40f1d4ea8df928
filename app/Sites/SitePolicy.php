<?php

declare(strict_types=1);

namespace App\Sites;

use App\People\User;

/** Sites are the educator's, because everything in a zone is computed from them. */
class SitePolicy
{
    public function update(User $user, Site $site): bool
    {
        return $user->role->doesEducatorsWork();
    }
}
