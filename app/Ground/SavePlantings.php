<?php

declare(strict_types=1);

namespace App\Ground;

use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Changes what is planned, all of it or nothing, and returns what would undo it.
 *
 * @phpstan-type Named array{id: int, version: int}
 */
final class SavePlantings
{
    /**
     * @param  list<array{key: string, bed: int, crop: int, variety: string|null, route: string, on: string, metres: float, pinned: bool, spares?: bool, between?: string|null}>  $add
     * @param  list<array{id: int, version: int, bed: int, on: string, metres: float, pinned: bool, spares?: bool, between?: string|null}>  $change
     *     without `spares`, these stay as planned; without `between`, it stays between the same rows unless it moves to another bed
     * @param  list<Named>  $remove
     * @param  list<Named>  $restore
     * @return array{undo: array{add: list<never>, change: list<array{id: int, version: int, bed: int, on: string, metres: float, pinned: bool, spares: bool, between: string|null}>, remove: list<Named>, restore: list<Named>}, beds: list<int>}
     *     what undoes it, unless somebody changes the same in the meantime, and the beds it touched
     *
     * @throws StaleEdit if one of them was changed since its version; then nothing changes
     */
    public function execute(Zone $zone, User $user, array $add, array $change, array $remove, array $restore): array
    {
        return DB::transaction(function () use ($zone, $user, $add, $change, $remove, $restore): array {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $beds = [...array_column($change, 'bed'), ...array_column($add, 'bed')];
            $undo = ['add' => [], 'change' => [], 'remove' => [], 'restore' => []];
            foreach ($remove as $one) {
                $undo['restore'][] = self::named($planting = $this->put($zone, $user, $one, ['removed_at' => now()]));
                $beds[] = $planting->bed_id;
            }
            foreach ($restore as $one) {
                $undo['remove'][] = self::named($planting = $this->put($zone, $user, $one, ['removed_at' => null]));
                $beds[] = $planting->bed_id;
            }
            foreach ($change as $one) {
                $was = $this->find($zone, $one['id']);
                $beds[] = $was->bed_id;
                $undo['change'][] = $this->change($zone, $user, $was, $one);
            }
            foreach ($add as $one) {
                $undo['remove'][] = self::named($this->add($zone, $user, $one));
            }

            return ['undo' => $undo, 'beds' => array_values(array_unique($beds))];
        });
    }

    /**
     * @param  array{id: int, version: int, bed: int, on: string, metres: float, pinned: bool, spares?: bool, between?: string|null}  $to
     * @return array{id: int, version: int, bed: int, on: string, metres: float, pinned: bool, spares: bool, between: string|null} what undoes it
     */
    private function change(Zone $zone, User $user, Planting $was, array $to): array
    {
        $before = [
            'bed' => $was->bed_id,
            'on' => $was->day->format('Y-m-d'),
            'metres' => $was->metres,
            'pinned' => $was->pinned,
            'spares' => $was->spares,
            'between' => $was->between,
        ];
        $planting = $this->put($zone, $user, $to, [
            'bed_id' => $to['bed'],
            'day' => $to['on'],
            'metres' => $to['metres'],
            'pinned' => $to['pinned'],
            'spares' => $to['spares'] ?? $was->spares,
            'between' => match (true) {
                array_key_exists('between', $to) => $to['between'],
                $was->bed_id === $to['bed'] => $was->between,
                default => null,
            },
        ]);

        return self::named($planting) + $before;
    }

    /** @param  array{key: string, bed: int, crop: int, variety: string|null, route: string, on: string, metres: float, pinned: bool, spares?: bool, between?: string|null}  $new */
    private function add(Zone $zone, User $user, array $new): Planting
    {
        $planting = Planting::saveOnce($new['key'], ['zone' => $zone->id] + $new, [
            'zone_id' => $zone->id,
            'bed_id' => $new['bed'],
            'crop_id' => $new['crop'],
            'user_id' => $user->id,
            'variety' => $new['variety'],
            'route' => $new['route'],
            'day' => $new['on'],
            'metres' => $new['metres'],
            'pinned' => $new['pinned'],
            'spares' => $new['spares'] ?? false,
            'between' => $new['between'] ?? null,
        ]);
        if ($planting->wasRecentlyCreated) {
            $is = ['crop' => $planting->refresh()->crop()->value('slug')] + $planting->editedFields();
            Change::record('added', $planting, $user, [], $is);
        }

        return $planting;
    }

    /** @return Named */
    private static function named(Planting $planting): array
    {
        return ['id' => $planting->id, 'version' => $planting->version];
    }

    /**
     * @param  array{id: int, version: int, ...}  $one
     * @param  array<string, mixed>  $columns
     */
    private function put(Zone $zone, User $user, array $one, array $columns): Planting
    {
        $planting = $this->find($zone, $one['id']);
        $planting->editedAt($one['version'], $user, static fn (Planting $p) => $p->update($columns));

        return $planting;
    }

    private function find(Zone $zone, int $id): Planting
    {
        return Planting::query()->where('zone_id', $zone->id)->find($id) ??
            throw ValidationException::withMessages(['change' => 'This zone has no such planting. Reload the page.']);
    }
}
