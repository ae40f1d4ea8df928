<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\People\User;
use App\Zones\ComputationState;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Database\Seeder;

/**
 * Sows the demonstration into an empty database where it is asked for; in any other, has zones computed again whose results an update put
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
