<?php

declare(strict_types=1);

namespace App\Console;

use App\People\Role;
use App\People\User;
use Illuminate\Console\Command;

/** Removes a person: what they wrote stays, without their name. */
class RemovePerson extends Command
{
    protected $signature = 'anthesis:remove-person {email}';

    protected $description = 'Remove a person who may log in; what they wrote stays, without their name';

    public function handle(): int
    {
        $user = User::query()->where('email', $this->argument('email'))->first();
        if ($user === null) {
            $this->error('Nobody here has that e-mail address.');

            return self::FAILURE;
        }
        if ($user->role === Role::Administrator && User::query()->where('role', Role::Administrator)->count() === 1) {
            $this->error("{$user->name} is the only administrator. Add another one first.");

            return self::FAILURE;
        }
        $user->delete();
        $this->info('Removed. What they wrote in the log and measured stays, without the name.');

        return self::SUCCESS;
    }
}
