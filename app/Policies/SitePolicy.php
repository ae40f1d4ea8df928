<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\Site;
use App\Models\User;

/** Sites are the educator's: every sum of a zone leans on them. */
class SitePolicy
{
    public function update(User $user, Site $site): bool
    {
        return $user->role === Role::Educator;
    }
}
