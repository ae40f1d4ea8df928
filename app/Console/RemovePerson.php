<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\OfficeInUse;
use App\People\SavePerson;
use App\People\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Removes a person: what they wrote stays, without their name unless it is kept. */
class RemovePerson extends Command
{
    protected $signature = 'anthesis:remove-person {email} {--keep-name : what they did still names them}';

    protected $description = 'Remove a person who may log in; what they wrote stays';

    public function handle(SavePerson $save): int
    {
        $user = User::query()->where('email', $this->argument('email'))->first();
        if ($user === null) {
            $this->error('Nobody here has that e-mail address.');

            return self::FAILURE;
        }
        try {
            // From all of their offices or from none: one may have nobody else to manage people.
            DB::transaction(function () use ($user, $save): void {
                foreach ($user->memberships()->pluck('office_id') as $office) {
                    OfficeInUse::within($office, fn () => $save->remove($user, (bool) $this->option('keep-name'), null));
                }
            });
        } catch (ValidationException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->info('Removed. What they wrote in the log and measured stays, with'.($this->option('keep-name') ? '' : 'out').' the name.');

        return self::SUCCESS;
    }
}
