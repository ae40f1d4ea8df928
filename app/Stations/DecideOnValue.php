<?php

declare(strict_types=1);

namespace App\Stations;

use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Zones\Computation;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Saves what a person decided about one value, replacing the earlier decision, and computes the zone again. */
final class DecideOnValue
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /**
     * @param  array{date: string, element: string, accepted: bool, note: string}  $decision
     * @param  int|null  $replaces  the decision that applied when this one was made; null: none
     *
     * @throws StaleEdit if another one was made in the meantime
     */
    public function execute(Station $station, array $decision, ?int $replaces, User $user): Computation
    {
        return DB::transaction(function () use ($station, $decision, $replaces, $user): Computation {
            Zone::query()->whereKey($station->zone_id)->lockForUpdate()->first();
            $held = $station
                ->decisions()
                ->with('user')
                ->whereDate('day', $decision['date'])
                ->where('element', $decision['element'])
                ->first();
            if ($held?->id !== $replaces) {
                $is = $held === null ? null : ($held->accepted ? 'use the value: ' : 'leave it out: ').$held->note;

                throw StaleEdit::insteadOf($held, 'decision', $is);
            }
            $station
                ->decisions()
                ->whereDate('day', $decision['date'])
                ->where('element', $decision['element'])
                ->update(['undone_at' => now()]);
            $made = StationDecision::query()->create([
                'station_id' => $station->id,
                'user_id' => $user->id,
                'day' => $decision['date'],
                'element' => $decision['element'],
                'accepted' => $decision['accepted'],
                'note' => $decision['note'],
            ]);

            return $this->queue->changed(
                $station->zone,
                $user,
                Change::record('decided', $station, $user, self::fields($held), self::fields($made), $decision['note']),
            );
        });
    }

    /** The mark of quality control applies again. */
    public function undo(StationDecision $decision, User $user): Computation
    {
        return DB::transaction(function () use ($decision, $user): Computation {
            Zone::query()->whereKey($decision->station->zone_id)->lockForUpdate()->first();
            StationDecision::query()
                ->whereKey($decision->id)
                ->whereNull('undone_at')
                ->update(['undone_at' => now()]);

            return $this->queue->changed(
                $decision->station->zone,
                $user,
                Change::record('undone', $decision->station, $user, self::fields($decision)),
            );
        });
    }

    /** @return array<string, mixed> */
    private static function fields(?StationDecision $decision): array
    {
        return $decision === null ? [] : [$decision->day->format('Y-m-d')." {$decision->element}" => $decision->accepted];
    }
}
