<?php

declare(strict_types=1);

namespace App\Zones;

use App\Office\Office;
use App\Operations\OfficeInUse;
use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Creates or edits a zone with its towns. A zone keeps the address it was created with. If its place or elevation changes, its results no
 * longer fit, so it is computed again.
 *
 * @phpstan-type ZoneValues array{name: string, district: string, latitude: float, longitude: float, height_m: int, time_zone?: string|null, settlements: list<array{name: string, postcode?: string|null}>}
 */
final class SaveZone
{
    /** What a zone's results depend on: the latitude gives sun and seasons, the elevation its stations' adjustment. */
    private const COMPUTED_FROM = ['latitude', 'height_m'];

    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /**
     * @param  ZoneValues  $values
     * @param  User|null  $user  null: the demonstration
     */
    public function create(array $values, ?User $user = null): Zone
    {
        return DB::transaction(static function () use ($values, $user): Zone {
            $zone = new Zone(array_diff_key($values, ['settlements' => true]));
            $zone->slug = self::freeSlug($zone->name);
            $zone->standard = Office::inUse()->standard->value;
            $zone->save();
            self::settle($zone, $values['settlements']);
            Change::record('added', $zone, $user, [], $zone->refresh()->editedFields());

            return $zone;
        });
    }

    /**
     * @param  ZoneValues  $values
     *
     * @throws StaleEdit if the zone was edited since that version
     */
    public function edit(Zone $zone, array $values, int $version, ?User $user): Zone
    {
        DB::transaction(function () use ($zone, $values, $version, $user): void {
            $change = $zone->editedAt($version, $user, static function (Zone $z) use ($values): void {
                $z->update(array_diff_key($values, ['settlements' => true]));
                self::settle($z, $values['settlements']);
            });
            if (
                $change !== null &&
                array_intersect_key($change->fields, array_flip(self::COMPUTED_FROM)) !== [] &&
                $zone->stations()->whereNotNull('record_id')->exists()
            ) {
                $this->queue->changed($zone, $user, $change);
            }
        });

        return $zone->refresh();
    }

    /** @param  list<array{name: string, postcode?: string|null}>  $settlements */
    private static function settle(Zone $zone, array $settlements): void
    {
        $zone->settlements()->delete();
        $zone
            ->settlements()
            ->createMany(
                array_map(static fn (array $s): array => ['name' => $s['name'], 'postcode' => $s['postcode'] ?? null], $settlements),
            );
    }

    /** Addresses belong to the installation, not to an office. */
    private static function isTaken(string $slug): bool
    {
        return OfficeInUse::everywhere(static fn (): bool => Zone::query()->where('slug', $slug)->exists());
    }

    private static function freeSlug(string $name): string
    {
        $base = Str::limit(Str::slug($name), 70, '') ?: 'zone';
        $slug = $base;
        for ($n = 2; self::isTaken($slug); $n++) {
            $slug = "{$base}-{$n}";
        }

        return $slug;
    }
}
