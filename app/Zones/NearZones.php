<?php

declare(strict_types=1);

namespace App\Zones;

use Illuminate\Support\Collection;

/**
 * Which zone a place belongs to: the one whose boundary contains it, otherwise the nearest by distance and elevation. Elevation changes a
 * climate more than distance does: a hundred meters count as twenty kilometers.
 *
 * @phpstan-type Near array{zone: Zone, km: float, height_m: int|null, counted_km: float, inside: bool}
 */
final class NearZones
{
    private const KM_PER_100_M = 20.0;

    /** Beyond this, no calendar is right for the place. */
    private const FARTHEST_KM = 150.0;

    /** If the second is at most this many times as far as the first, the place lies between them. */
    private const BETWEEN = 1.5;

    /**
     * @param  Collection<int, Zone>  $zones
     * @param  int|null  $heightM  null: not known; then only distance counts
     * @return list<Near> best first; empty if all are too far. `height_m`: how much higher the place is than the zone
     */
    public static function of(Collection $zones, float $latitude, float $longitude, ?int $heightM): array
    {
        $boundaries = ZoneBoundary::byZone();
        $near = [];
        foreach ($zones as $zone) {
            $km = GreatCircle::kilometres($latitude, $longitude, $zone->latitude, $zone->longitude);
            $higher = $heightM === null ? null : $heightM - $zone->height_m;
            $inside = isset($boundaries[$zone->id]) && $boundaries[$zone->id]->contains($latitude, $longitude);
            if ($inside || $km <= self::FARTHEST_KM) {
                $near[] = [
                    'zone' => $zone,
                    'km' => $km,
                    'height_m' => $higher,
                    'counted_km' => $km + (abs($higher ?? 0) / 100) * self::KM_PER_100_M,
                    'inside' => $inside,
                ];
            }
        }
        usort(
            $near,
            static fn (array $a, array $b): int => [! $a['inside'], $a['counted_km'], $a['zone']->id] <=> [
                ! $b['inside'],
                $b['counted_km'],
                $b['zone']->id,
            ],
        );

        return $near;
    }

    /**
     * @param  list<Near>  $near
     * @return bool whether the place lies between the first two, rather than in one
     */
    public static function isBetween(array $near): bool
    {
        return count($near) > 1 &&
            $near[0]['inside'] === $near[1]['inside'] &&
            $near[1]['counted_km'] <= self::BETWEEN * max(1.0, $near[0]['counted_km']);
    }
}
