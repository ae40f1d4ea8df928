<?php

declare(strict_types=1);

namespace App\Ground;

use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Changes what is planned, all of it or nothing, and tells what would undo it. */
final class SavePlantings
{
    /**
     * @param  list<array{key: string, bed: int, crop: int, variety: string|null, route: string, on: string, metres: float, pinned: bool}>  $add
     * @param  list<array{id: int, bed: int, on: string, metres: float, pinned: bool}>  $change
     * @param  list<int>  $remove
     * @param  list<int>  $restore
     * @return array{undo: array{add: list<never>, change: list<array{id: int, bed: int, on: string, metres: float, pinned: bool}>, remove: list<int>, restore: list<int>}, beds: list<int>} what undoes it, and the beds it touched
     */
    public function execute(Zone $zone, User $user, array $add, array $change, array $remove, array $restore): array
    {
        return DB::transaction(function () use ($zone, $user, $add, $change, $remove, $restore): array {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $beds = [...array_column($change, 'bed'), ...array_column($add, 'bed')];
            $undo = ['add' => [], 'change' => [], 'remove' => [], 'restore' => []];
            foreach ($remove as $id) {
                $undo['restore'][] = $id;
                $beds[] = $this->put($zone, $id, ['removed_at' => now()])->bed_id;
            }
            foreach ($restore as $id) {
                $undo['remove'][] = $id;
                $beds[] = $this->put($zone, $id, ['removed_at' => null])->bed_id;
            }
            foreach ($change as $one) {
                $planting = $this->find($zone, $one['id']);
                $undo['change'][] = ['id' => $planting->id, 'bed' => $planting->bed_id, 'on' => $planting->day->format('Y-m-d'), 'metres' => $planting->metres, 'pinned' => $planting->pinned];
                $beds[] = $planting->bed_id;
                $planting->update(['bed_id' => $one['bed'], 'day' => $one['on'], 'metres' => $one['metres'], 'pinned' => $one['pinned']]);
            }
            foreach ($add as $one) {
                $planting = Planting::saveOnce($one['key'], ['zone' => $zone->id] + $one, ['zone_id' => $zone->id, 'bed_id' => $one['bed'], 'crop_id' => $one['crop'], 'user_id' => $user->id, 'variety' => $one['variety'], 'route' => $one['route'],
                    'day' => $one['on'], 'metres' => $one['metres'], 'pinned' => $one['pinned']]);
                $undo['remove'][] = $planting->id;
            }

            return ['undo' => $undo, 'beds' => array_values(array_unique($beds))];
        });
    }

    /** @param  array<string, mixed>  $columns */
    private function put(Zone $zone, int $id, array $columns): Planting
    {
        $planting = $this->find($zone, $id);
        $planting->update($columns);

        return $planting;
    }

    private function find(Zone $zone, int $id): Planting
    {
        return Planting::query()->where('zone_id', $zone->id)->find($id) ?? throw ValidationException::withMessages(['change' => 'There is no such planting in this zone. Load the page again.']);
    }
}
