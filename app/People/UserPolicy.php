<?php

declare(strict_types=1);

namespace App\People;

/** People are looked after by administrators. */
class UserPolicy
{
    public function manage(User $user): bool
    {
        return $user->role === Role::Administrator;
    }
}
