<?php

declare(strict_types=1);

namespace App\Zones;

/** Stops a computation at the next crop. What was computed so far is kept and not computed again. */
final class CancelComputation
{
    public function execute(Computation $computation): Computation
    {
        Computation::query()
            ->whereKey($computation->id)
            ->whereIn('state', [ComputationState::Queued, ComputationState::Running])
            ->update(['state' => ComputationState::Cancelled, 'step' => 'cancelled', 'finished_at' => now()]);

        return $computation->refresh();
    }
}
