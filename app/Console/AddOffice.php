<?php

declare(strict_types=1);

namespace App\Console;

use App\Crops\FoundOffice;
use App\Office\Office;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;

/** Adds another office; its first administrator is added with `anthesis:add-person --office`. */
class AddOffice extends Command
{
    protected $signature = 'anthesis:add-office {name}';

    protected $description = 'Add an office with its own zones, people, crop book, and sites';

    public function handle(FoundOffice $found): int
    {
        $name = trim((string) $this->argument('name'));
        $checked = Validator::make(
            ['name' => $name],
            ['name' => ['required', 'string', 'max:200', 'unique:offices,name']],
            ['name.required' => 'Enter the name of the office.', 'name.unique' => 'There already is an office with that name.'],
        );
        if ($checked->fails()) {
            $this->error((string) $checked->errors()->first());

            return self::FAILURE;
        }
        foreach (Office::query()->where('name', '')->get() as $unnamed) {
            $this->warn(
                "The office “{$unnamed->slug}” has no name yet. Give it one under Settings › Office, so gardeners can tell the two apart.",
            );
        }
        $office = $found->execute($name);
        $this->info(
            "{$office->name} is there, as {$office->slug}. Add its first administrator: php artisan anthesis:add-person --office={$office->slug} --role=administrator",
        );

        return self::SUCCESS;
    }
}
