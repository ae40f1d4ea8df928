<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\People\User;
use App\Zones\ComputationState;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Database\Seeder;

/**
 * Adds the demonstration to an empty database if asked to. In any other database, has zones computed again whose results an update set
 * aside.
 */
class DatabaseSeeder extends Seeder
{
    public function run(QueueComputation $queue): void
    {
        if (config('anthesis.demonstration') && User::query()->doesntExist()) {
            $this->call(DemoSeeder::class);
        }
        foreach (Zone::query()->with('currentComputation', 'latestComputation')->get() as $zone) {
            /** @var Zone $zone */
            $current = $zone->currentComputation;
            if ($current !== null && $current->ruler_hash === null && $zone->latestComputation?->state !== ComputationState::Queued) {
                $queue->execute($zone, null);
            }
        }
    }
}
