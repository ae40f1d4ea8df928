<?php

declare(strict_types=1);

namespace App\Trials;

use App\Crops\Crop;
use App\Crops\LocalDaysOfCrop;
use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Uses the local days from a zone's own plantings for a crop, or a variety; or the packet's again. The earlier choice is kept as undone,
 * and the windows follow.
 */
final readonly class AdoptLocalDays
{
    public function __construct(private QueueComputation $queue)
    {
    }

    /**
     * @param  array<string, mixed>  $told  from ZoneLocalDays
     * @param  int|null  $replaces  those that applied when these were read; null: none
     *
     * @throws StaleEdit if others were adopted in the meantime
     */
    public function execute(Zone $zone, Crop $crop, array $told, ?int $replaces, User $user): void
    {
        DB::transaction(function () use ($zone, $crop, $told, $replaces, $user): void {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $held = LocalDaysOfCrop::holdingIn($zone)
                ->where('crop_id', $crop->id)
                ->where('variety', $told['variety'])
                ->with('user')
                ->first();
            if ($held?->id !== $replaces) {
                throw StaleEdit::insteadOf($held, 'days', $held?->days);
            }
            $held?->update(['undone_at' => now(), 'undone_by' => $user->id]);
            $adopted = LocalDaysOfCrop::query()->create([
                'zone_id' => $zone->id,
                'crop_id' => $crop->id,
                'user_id' => $user->id,
                'variety' => $told['variety'],
                'route' => $told['route'],
                'packet_days' => $told['packet_days'],
                'days' => $told['days'],
                'sowings' => $told['sowings'],
                'error_before' => $told['error_before'],
                'error_after' => $told['error_after'],
            ]);
            $this->queue->changed(
                $zone,
                $user,
                Change::record('days-adopted', $adopted, $user, ['days' => $held?->days], ['days' => $adopted->days]),
            );
        });
    }

    public function undo(LocalDaysOfCrop $held, Zone $zone, User $user): void
    {
        DB::transaction(function () use ($held, $zone, $user): void {
            if (
                LocalDaysOfCrop::query()
                    ->whereKey($held->id)
                    ->whereNull('undone_at')
                    ->update(['undone_at' => now(), 'undone_by' => $user->id]) === 1
            ) {
                $this->queue->changed($zone, $user, Change::record('undone', $held, $user, ['days' => $held->days]));
            }
        });
    }
}
