<?php

declare(strict_types=1);

namespace App\Zones;

use App\Operations\KeyReused;
use App\People\Change;
use App\People\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/** Imports the boundaries of zones from a GeoJSON file: all of them, or none if one cannot be used; and undoes it. */
final class SaveBoundaries
{
    /**
     * @param  string  $upload  key of this upload, by which it can be undone; the same one again does nothing
     * @return list<string> names of the zones
     *
     * @throws BoundaryRefused naming each feature that cannot be used, and why
     * @throws KeyReused if other boundaries were uploaded under this key
     */
    public function execute(string $text, string $upload, User $user): array
    {
        $found = self::read($text);

        return DB::transaction(static function () use ($found, $upload, $user): array {
            // The same upload sent twice at the same time takes turns with itself.
            Zone::query()->whereIn('id', array_keys($found))->orderBy('id')->lockForUpdate()->get();
            $names = array_values(array_map(static fn (array $f): string => $f[0]->name, $found));
            if (self::isSaved($found, $upload)) {
                return $names;
            }
            foreach ($found as [$zone, $boundary]) {
                ZoneBoundary::query()->create([
                    'zone_id' => $zone->id,
                    'geometry' => $boundary->toGeoJson(),
                    'author' => $user->name,
                    'upload' => $upload,
                ]);
                Change::record('boundary-set', $zone, $user);
            }
            event(new BoundariesChanged());

            return $names;
        });
    }

    /**
     * @param  array<int, array{Zone, Boundary}>  $found  by the zone's id
     *
     * @throws KeyReused
     */
    private static function isSaved(array $found, string $upload): bool
    {
        $saved = ZoneBoundary::query()->where('upload', $upload)->get()->keyBy('zone_id');
        if ($saved->isEmpty()) {
            return false;
        }
        $isSame = static fn (array $f): bool => $saved->get($f[0]->id)?->geometry == $f[1]->toGeoJson();
        if ($saved->count() !== count($found) || ! collect($found)->every($isSame)) {
            throw new KeyReused();
        }

        return true;
    }

    /**
     * Takes back the boundaries of an upload, so those before it count again.
     *
     * @throws BoundaryRefused if one of the zones was given another boundary since
     * @throws ModelNotFoundException if there is no such upload, or it is undone already
     */
    public function undo(string $upload, User $user): void
    {
        DB::transaction(static function () use ($upload, $user): void {
            $these = ZoneBoundary::query()->where('upload', $upload)->lockForUpdate()->get();
            if ($these->isEmpty()) {
                throw (new ModelNotFoundException())->setModel(ZoneBoundary::class);
            }
            $since = ZoneBoundary::query()->whereIn('zone_id', $these->pluck('zone_id'))->where('id', '>', $these->max('id'))->exists();
            if ($since) {
                throw new BoundaryRefused('Somebody has uploaded other boundaries since. Look at those on the map first.');
            }
            foreach ($these as $boundary) {
                $boundary->delete();
                Change::record('boundary-undone', Zone::query()->findOrFail($boundary->zone_id), $user);
            }
            event(new BoundariesChanged());
        });
    }

    /**
     * @return array<int, array{Zone, Boundary}> by the zone's id
     *
     * @throws BoundaryRefused
     */
    private static function read(string $text): array
    {
        $zones = Zone::query()->get();
        $found = [];
        $wrong = [];
        foreach (self::features($text) as $i => $feature) {
            try {
                $zone = self::zoneOf($feature, $zones);
                if (isset($found[$zone->id])) {
                    throw new BoundaryRefused("{$zone->name} has another one before it; make them one MultiPolygon");
                }
                $boundary = Boundary::fromGeoJson($feature['geometry'] ?? null);
                if (! $boundary->contains($zone->latitude, $zone->longitude)) {
                    throw new BoundaryRefused(
                        "the position of {$zone->name} (".
                            Coordinates::inWords($zone->latitude, $zone->longitude).
                            ') lies outside of it',
                    );
                }
                $found[$zone->id] = [$zone, $boundary];
            } catch (BoundaryRefused $why) {
                $wrong[] = 'Feature '.($i + 1).": {$why->getMessage()}.";
            }
        }
        if ($wrong !== []) {
            throw new BoundaryRefused(implode(' ', array_slice($wrong, 0, 10)).' Nothing was taken.');
        }

        return $found;
    }

    /**
     * @return non-empty-list<mixed>
     *
     * @throws BoundaryRefused
     */
    private static function features(string $text): array
    {
        $file = json_decode($text, true, 16);
        $features = is_array($file) ? (($file['type'] ?? null) === 'Feature' ? [$file] : $file['features'] ?? null) : null;
        if (! is_array($features) || ! array_is_list($features) || $features === []) {
            throw new BoundaryRefused(
                'The file is not GeoJSON with features. Export the boundaries as a FeatureCollection in degrees (WGS 84).',
            );
        }

        return $features;
    }

    /**
     * @param  Collection<int, Zone>  $zones
     *
     * @throws BoundaryRefused if the feature does not name one of them, by its name or its address
     */
    private static function zoneOf(mixed $feature, Collection $zones): Zone
    {
        $named =
            is_array($feature) && is_array($feature['properties'] ?? null)
                ? $feature['properties']['zone'] ?? ($feature['properties']['name'] ?? null)
                : null;
        if (! is_string($named)) {
            throw new BoundaryRefused('it does not say which zone it is of: give it a property “zone” with the zone’s name');
        }

        return $zones->first(static fn (Zone $z): bool => $z->slug === $named || mb_strtolower($z->name) === mb_strtolower($named)) ??
            throw new BoundaryRefused("no zone is called “{$named}”");
    }
}
