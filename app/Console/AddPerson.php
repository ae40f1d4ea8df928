<?php

declare(strict_types=1);

namespace App\Console;

use App\Office\Office;
use App\People\PasswordRule;
use App\People\Role;
use App\People\User;
use Illuminate\Console\Command;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;

use function Laravel\Prompts\password;
use function Laravel\Prompts\select;
use function Laravel\Prompts\text;

/**
 * Adds a person who may log in: in an empty installation, the first administrator. Asks for what is not given; never takes a password on
 * the command line.
 */
class AddPerson extends Command
{
    protected $signature = 'anthesis:add-person
        {--name=}
        {--email=}
        {--role=}
        {--office= : address of the office, where there are several}
        {--only-first : do nothing where there is somebody already}
        {--password-stdin : read the password from the first line of standard input}';

    protected $description = 'Add a person who may log in (the first one is an administrator)';

    public function handle(): int
    {
        $first = User::query()->doesntExist();
        if ($this->option('only-first') && ! $first) {
            return self::SUCCESS;
        }
        $checked = $this->checked($first);
        if ($checked->fails()) {
            foreach ($checked->errors()->all() as $words) {
                $this->error($words);
            }

            return self::FAILURE;
        }
        $office = $this->office();
        if ($office === null) {
            $this->error(
                'There are several offices. Choose one with --office, by its address: '.
                    Office::query()->pluck('slug')->implode(', ').
                    '.',
            );

            return self::FAILURE;
        }
        DB::transaction(static function () use ($checked, $office): void {
            $user = User::query()->create(Arr::except($checked->validated(), 'role'));
            $user->memberships()->create(['office_id' => $office->id, 'role' => $checked->validated()['role']]);
        });
        $this->info("{$checked->validated()['name']} may log in as {$checked->validated()['role']}.");

        return self::SUCCESS;
    }

    /** What was given or is asked for now. */
    private function checked(bool $first): \Illuminate\Validation\Validator
    {
        $name = $this->option('name') ?? text('Name', required: true);
        $email = $this->option('email') ?? text('E-mail', required: true);
        $role = $this->option('role') ?? ($first ? Role::Administrator->value : select('Role', array_column(Role::cases(), 'value')));
        $password = $this->option('password-stdin')
            ? rtrim((string) fgets(STDIN), "\r\n")
            : password('Password, at least 12 characters', required: true);

        return Validator::make(compact('name', 'email', 'role', 'password'), [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:190', 'unique:users'],
            'role' => ['required', 'in:'.implode(',', array_column(Role::cases(), 'value'))],
            'password' => ['required', 'string', new PasswordRule()],
        ]);
    }

    private function office(): ?Office
    {
        $slug = $this->option('office');

        return $slug === null ? Office::theOnly() : Office::query()->where('slug', $slug)->first();
    }
}
