<?php

declare(strict_types=1);

namespace App\Zones;

use App\People\Change;
use App\People\User;
use Illuminate\Support\Facades\DB;

/** Imports the boundaries of zones from a GeoJSON file: all of them, or none if one cannot be used. */
final class SaveBoundaries
{
    /**
     * @return list<string> names of the zones
     *
     * @throws BoundaryRefused naming each feature that cannot be used, and why
     */
    public function execute(string $text, User $user): array
    {
        $file = json_decode($text, true, 16);
        $features = is_array($file) ? (($file['type'] ?? null) === 'Feature' ? [$file] : $file['features'] ?? null) : null;
        if (! is_array($features) || ! array_is_list($features) || $features === []) {
            throw new BoundaryRefused(
                'The file is not GeoJSON with features. Export the boundaries as a FeatureCollection in degrees (WGS 84).',
            );
        }
        $zones = Zone::query()->get();
        $found = [];
        $wrong = [];
        foreach ($features as $i => $feature) {
            $named =
                is_array($feature) && is_array($feature['properties'] ?? null)
                    ? $feature['properties']['zone'] ?? ($feature['properties']['name'] ?? null)
                    : null;
            $zone = is_string($named)
                ? $zones->first(static fn (Zone $z): bool => $z->slug === $named || mb_strtolower($z->name) === mb_strtolower($named))
                : null;
            try {
                if ($zone === null) {
                    throw new BoundaryRefused(
                        is_string($named)
                            ? "no zone is called “{$named}”"
                            : 'it does not say which zone it is of: give it a property “zone” with the zone’s name',
                    );
                }
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

        return DB::transaction(static function () use ($found, $user): array {
            foreach ($found as [$zone, $boundary]) {
                ZoneBoundary::query()->create(['zone_id' => $zone->id, 'geometry' => $boundary->toGeoJson(), 'author' => $user->name]);
                Change::record('boundary-set', $zone, $user);
            }
            event(new BoundariesChanged());

            return array_values(array_map(static fn (array $f): string => $f[0]->name, $found));
        });
    }
}
