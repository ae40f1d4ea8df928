<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Computation;
use App\Models\Station;
use App\Models\StationDecision;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Writes down what a person decided on one value, in place of what was decided before, and computes the zone anew. */
final class DecideOnValue
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /** @param  array{date: string, element: string, accepted: bool, note: string}  $decision */
    public function execute(Station $station, array $decision, User $user): Computation
    {
        return DB::transaction(function () use ($station, $decision, $user): Computation {
            $station->decisions()->whereDate('day', $decision['date'])->where('element', $decision['element'])->update(['undone_at' => now()]);
            StationDecision::query()->create([
                'station_id' => $station->id,
                'user_id' => $user->id,
                'day' => $decision['date'],
                'element' => $decision['element'],
                'accepted' => $decision['accepted'],
                'note' => $decision['note'],
            ]);

            return $this->queue->execute($station->zone, $user);
        });
    }

    /** The mark of quality control stands again. */
    public function undo(StationDecision $decision, User $user): Computation
    {
        return DB::transaction(function () use ($decision, $user): Computation {
            $decision->update(['undone_at' => now()]);

            return $this->queue->execute($decision->station->zone, $user);
        });
    }
}
