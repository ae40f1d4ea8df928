<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Tables\CropCsv;
use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Zones\QueueComputation;
use Illuminate\Support\Facades\DB;

/**
 * Accepts or declines what the table that ships now says about a crop. Either way it is kept in the crop's history, and is not offered
 * again.
 */
final class SaveShippedCrop
{
    public function __construct(private readonly SaveCrops $save, private readonly QueueComputation $queue)
    {
    }

    /** @throws StaleEdit if the crop was edited since that version */
    public function take(string $slug, ?int $version, string $note, User $user): void
    {
        $this->settle($slug, function (array $shipped) use ($slug, $version, $note, $user): void {
            $crop = Crop::query()->where('slug', $slug)->first();
            if ($crop !== null) {
                $this->save->edit($crop, $shipped, $note, $version ?? $crop->version, $user);

                return;
            }
            $crop = Crop::query()->create(['slug' => $slug, 'position' => (int) Crop::query()->max('position') + 1, 'cells' => $shipped]);
            $this->queue->changedEverywhere($user, Change::record('added', $crop, $user, [], $shipped, $note));
        });
    }

    public function leave(string $slug, string $note, User $user): void
    {
        $this->settle($slug, static function () use ($slug, $note, $user): void {
            $crop = Crop::query()->where('slug', $slug)->first();
            if ($crop !== null) {
                CropRevision::query()->create(['crop_id' => $crop->id, 'user_id' => $user->id, 'cells' => $crop->cells, 'note' => $note]);
            }
        });
    }

    /** @param  callable(array<string, string>): void  $with */
    private function settle(string $slug, callable $with): void
    {
        DB::transaction(static function () use ($slug, $with): void {
            $shipped = CropCsv::standardRows()[$slug];
            $with($shipped);
            ShippedCrop::query()->updateOrCreate(['slug' => $slug], ['cells' => $shipped]);
        });
    }
}
