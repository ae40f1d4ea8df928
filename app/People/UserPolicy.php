<?php

declare(strict_types=1);

namespace App\People;

/** Administrators manage people. */
class UserPolicy
{
    public function manage(User $user): bool
    {
        return $user->role === Role::Administrator;
    }
}
