<?php

declare(strict_types=1);

namespace Database\Seeders;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use App\People\User;
use Illuminate\Database\Seeder;

/** Switches the people of the demonstration to metric units, as most browser tests expect; the tests of personal choices set their own. */
class MetricReaders extends Seeder
{
    public function run(): void
    {
        User::query()->update(['units' => UnitSystem::Metric, 'dates' => DateStyle::DayFirst]);
    }
}
