<?php

declare(strict_types=1);

namespace App\Zones;

/**
 * Where a zone begins and ends: polygons of GeoJSON (RFC 7946), longitude and latitude in degrees, each a ring around it and rings of
 * what is left out. They are small stretches of country: straight lines between corners, none across the date line.
 *
 * @phpstan-type Ring list<array{float, float}>
 */
final readonly class Boundary
{
    /** More corners than this are no help on a map of lines, and slow to look at. */
    public const MOST_CORNERS = 4000;

    private const LEAST_CORNERS = 4;

    /** @param  list<list<Ring>>  $polygons */
    private function __construct(public array $polygons)
    {
    }

    /**
     * @param  mixed  $geometry  as it came
     *
     * @throws BoundaryRefused saying what is wrong with it, and where
     */
    public static function fromGeoJson(mixed $geometry): self
    {
        $type = is_array($geometry) ? $geometry['type'] ?? null : null;
        $coordinates = is_array($geometry) ? $geometry['coordinates'] ?? null : null;
        if (! in_array($type, ['Polygon', 'MultiPolygon'], true) || ! is_array($coordinates) || ! array_is_list($coordinates) || $coordinates === []) {
            throw new BoundaryRefused('its geometry is no Polygon or MultiPolygon with coordinates');
        }
        $polygons = [];
        $corners = 0;
        foreach ($type === 'Polygon' ? [$coordinates] : $coordinates as $p => $polygon) {
            if (! is_array($polygon) || ! array_is_list($polygon) || $polygon === []) {
                throw new BoundaryRefused('polygon '.($p + 1).' has no ring');
            }
            $rings = [];
            foreach ($polygon as $r => $ring) {
                $rings[] = self::ring($ring, 'ring '.($r + 1).' of polygon '.($p + 1));
                $corners += count($rings[$r]);
            }
            $polygons[] = $rings;
        }
        if ($corners > self::MOST_CORNERS) {
            throw new BoundaryRefused('it has '.$corners.' corners, more than '.self::MOST_CORNERS.'; simplify it');
        }

        return new self($polygons);
    }

    /** Whether a place lies in it; one on its edge may do either. */
    public function contains(float $latitude, float $longitude): bool
    {
        foreach ($this->polygons as $polygon) {
            $inside = array_map(static fn (array $ring): bool => self::isInRing($ring, $latitude, $longitude), $polygon);
            if ($inside[0] && ! in_array(true, array_slice($inside, 1), true)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Ring> all of them, to be drawn as lines */
    public function rings(): array
    {
        return array_merge(...$this->polygons);
    }

    /** @return array{type: string, coordinates: list<list<Ring>>} */
    public function toGeoJson(): array
    {
        return ['type' => 'MultiPolygon', 'coordinates' => $this->polygons];
    }

    /** @return Ring */
    private static function ring(mixed $ring, string $where): array
    {
        if (! is_array($ring) || ! array_is_list($ring) || count($ring) < self::LEAST_CORNERS) {
            throw new BoundaryRefused("{$where} has fewer than four corners");
        }
        $corners = [];
        foreach ($ring as $i => $corner) {
            [$longitude, $latitude] = is_array($corner) ? [$corner[0] ?? null, $corner[1] ?? null] : [null, null];
            if (! is_numeric($longitude) || ! is_numeric($latitude) || abs((float) $longitude) > 180 || abs((float) $latitude) > 90) {
                throw new BoundaryRefused('corner '.($i + 1)." of {$where} is no longitude and latitude in degrees; GeoJSON gives the longitude first");
            }
            $corners[] = [(float) $longitude, (float) $latitude];
        }
        if ($corners[0] !== $corners[count($corners) - 1]) {
            throw new BoundaryRefused("{$where} does not end where it begins");
        }
        self::refuseCrossings($corners, $where);

        return $corners;
    }

    /** @param  Ring  $ring */
    private static function refuseCrossings(array $ring, string $where): void
    {
        $sides = count($ring) - 1;
        for ($i = 0; $i < $sides; $i++) {
            // Neighbours share a corner; so do the first and the last.
            for ($j = $i + 2; $j < $sides - ($i === 0 ? 1 : 0); $j++) {
                if (self::cross($ring[$i], $ring[$i + 1], $ring[$j], $ring[$j + 1])) {
                    throw new BoundaryRefused("{$where} crosses itself between corners ".($i + 1).' and '.($j + 2));
                }
            }
        }
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @param  array{float, float}  $d
     */
    private static function cross(array $a, array $b, array $c, array $d): bool
    {
        $turn = static fn (array $p, array $q, array $r): int => (($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0])) <=> 0.0;

        return $turn($a, $b, $c) * $turn($a, $b, $d) < 0 && $turn($c, $d, $a) * $turn($c, $d, $b) < 0;
    }

    /** @param  Ring  $ring */
    private static function isInRing(array $ring, float $latitude, float $longitude): bool
    {
        // A ray to the east crosses the ring an odd number of times.
        $inside = false;
        for ($i = 1, $n = count($ring); $i < $n; $i++) {
            [[$x1, $y1], [$x2, $y2]] = [$ring[$i - 1], $ring[$i]];
            if (($y1 > $latitude) !== ($y2 > $latitude) && $longitude < $x1 + ($latitude - $y1) / ($y2 - $y1) * ($x2 - $x1)) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }
}
