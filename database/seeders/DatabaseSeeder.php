<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\People\User;
use App\Zones\ComputationState;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/**
 * Adds the demonstration to an empty database if asked to. In any other database, has zones computed again whose results an update set
 * aside.
 */
class DatabaseSeeder extends Seeder
{
    public function run(QueueComputation $queue): void
    {
        if (config('anthesis.demonstration') && User::query()->doesntExist()) {
            // Stays if it is interrupted; bin/start then begins anew.
            $unfinished = self::unfinished();
            touch($unfinished);
            $this->call(DemoSeeder::class);
            unlink($unfinished);
        }
        foreach (Zone::query()->with('currentComputation', 'latestComputation')->get() as $zone) {
            /** @var Zone $zone */
            $current = $zone->currentComputation;
            if ($current !== null && $current->ruler_hash === null && $zone->latestComputation?->state !== ComputationState::Queued) {
                $queue->execute($zone, null);
            }
        }
    }

    /** @return string path of a file that is there as long as the demonstration is not complete */
    public static function unfinished(): string
    {
        return storage_path('app/unfinished-demonstration-'.DB::connection()->getDatabaseName());
    }
}
