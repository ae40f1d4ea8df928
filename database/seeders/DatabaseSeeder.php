<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\User;
use Illuminate\Database\Seeder;

/** Sows the demonstration into an empty database and leaves any other alone. */
class DatabaseSeeder extends Seeder
{
    public function run(): void
    {
        if (User::query()->doesntExist()) {
            $this->call(DemoSeeder::class);
        }
    }
}
