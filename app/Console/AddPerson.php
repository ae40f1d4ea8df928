<?php

declare(strict_types=1);

namespace App\Console;

use App\People\PasswordRule;
use App\People\Role;
use App\People\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;

use function Laravel\Prompts\password;
use function Laravel\Prompts\select;
use function Laravel\Prompts\text;

/**
 * Makes a person who may log in: on a bare installation the first administrator. Asks for what is not given; never for a password on
 * the command line.
 */
class AddPerson extends Command
{
    protected $signature = 'anthesis:add-person
        {--name=}
        {--email=}
        {--role=}
        {--only-first : do nothing where there is somebody already}
        {--password-stdin : read the password from the first line of standard input}';

    protected $description = 'Add a person who may log in (the first one is an administrator)';

    public function handle(): int
    {
        $first = User::query()->doesntExist();
        if ($this->option('only-first') && ! $first) {
            return self::SUCCESS;
        }
        $name = $this->option('name') ?? text('Name', required: true);
        $email = $this->option('email') ?? text('E-mail', required: true);
        $role = $this->option('role') ?? ($first ? Role::Administrator->value : select('Role', array_column(Role::cases(), 'value')));
        $password = $this->option('password-stdin')
            ? rtrim((string) fgets(STDIN), "\r\n")
            : password('Password, at least 12 characters', required: true);
        $checked = Validator::make(compact('name', 'email', 'role', 'password'), [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:190', 'unique:users'],
            'role' => ['required', 'in:'.implode(',', array_column(Role::cases(), 'value'))],
            'password' => ['required', 'string', new PasswordRule()],
        ]);
        if ($checked->fails()) {
            foreach ($checked->errors()->all() as $words) {
                $this->error($words);
            }

            return self::FAILURE;
        }
        User::query()->create($checked->validated());
        $this->info("{$name} may log in as {$role}.");

        return self::SUCCESS;
    }
}
