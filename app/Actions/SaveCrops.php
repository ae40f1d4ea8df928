<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crop;
use App\Models\CropRevision;
use App\Models\User;
use App\Models\Zone;
use Illuminate\Support\Facades\DB;

/** Saves changed crops, keeps what they were, adds new ones, and has every zone computed anew, which costs only what changed. */
final class SaveCrops
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /**
     * @param  array<string, array<string, string>>  $rows  checked cells by slug and column
     * @return array{new: int, changed: int, unchanged: int}
     */
    public function execute(array $rows, string $note, User $user): array
    {
        return DB::transaction(function () use ($rows, $note, $user): array {
            $counts = ['new' => 0, 'changed' => 0, 'unchanged' => 0];
            /** @var array<string, Crop> $known */
            $known = Crop::query()->whereIn('slug', array_keys($rows))->lockForUpdate()->get()->keyBy('slug')->all();
            $position = (int) Crop::query()->max('position');
            foreach ($rows as $slug => $cells) {
                $crop = $known[$slug] ?? null;
                if ($crop === null) {
                    Crop::query()->create(['slug' => $slug, 'position' => ++$position, 'cells' => $cells]);
                    $counts['new']++;
                } elseif ($crop->cells == $cells) {
                    $counts['unchanged']++;
                } else {
                    CropRevision::query()->create(['crop_id' => $crop->id, 'user_id' => $user->id, 'cells' => $crop->cells, 'note' => $note]);
                    $crop->update(['cells' => $cells]);
                    $counts['changed']++;
                }
            }
            if ($counts['new'] + $counts['changed'] > 0) {
                foreach (Zone::query()->whereHas('currentComputation')->get() as $zone) {
                    $this->queue->execute($zone, $user);
                }
            }

            return $counts;
        });
    }
}
