<?php

declare(strict_types=1);

namespace Database\Seeders;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use App\People\User;
use Illuminate\Database\Seeder;

/** Has the people of the demonstration read metric units, as most tests in the browser do; what one person chooses is tested there. */
class MetricReaders extends Seeder
{
    public function run(): void
    {
        User::query()->update(['units' => UnitSystem::Metric, 'dates' => DateStyle::DayFirst]);
    }
}
