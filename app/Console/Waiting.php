<?php

declare(strict_types=1);

namespace App\Console;

use App\Zones\Computation;
use App\Zones\ComputationState;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Queue;

/** Tells how much work is waiting or in progress: jobs in the queue, and computations. */
class Waiting extends Command
{
    protected $signature = 'anthesis:waiting';

    protected $description = 'Print how many jobs and computations are waiting or in progress';

    public function handle(): int
    {
        $jobs = Queue::size('default') + Queue::size('sites');
        $this->line(
            (string) ($jobs +
                Computation::query()
                    ->whereIn('state', [ComputationState::Queued, ComputationState::Running])
                    ->count()),
        );

        return self::SUCCESS;
    }
}
