<?php

declare(strict_types=1);

namespace App\Zones;

/**
 * The boundary of a zone: polygons of GeoJSON (RFC 7946), longitude and latitude in degrees, each an outer ring and rings of holes. They
 * are small areas: straight lines between corners, none across the date line.
 *
 * @phpstan-type Ring list<array{float, float}>
 */
final readonly class Boundary
{
    /** More corners do not help on a map of lines, and are slow to draw. */
    public const MOST_CORNERS = 4000;

    private const LEAST_CORNERS = 4;

    /** A simplified boundary differs from the real one by at most this share of its longer side: about one pixel of a map. */
    private const DRAWN_WITHIN = 1 / 600;

    /** @param  list<list<Ring>>  $polygons */
    private function __construct(public array $polygons)
    {
    }

    /**
     * An uploaded boundary, checked.
     *
     * @param  mixed  $geometry  as uploaded
     *
     * @throws BoundaryRefused saying what is wrong with it, and where
     */
    public static function fromGeoJson(mixed $geometry): self
    {
        $type = is_array($geometry) ? $geometry['type'] ?? null : null;
        $coordinates = is_array($geometry) ? $geometry['coordinates'] ?? null : null;
        if (
            ! in_array($type, ['Polygon', 'MultiPolygon'], true) ||
            ! is_array($coordinates) ||
            ! array_is_list($coordinates) ||
            $coordinates === []
        ) {
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
        // Last, because it takes longest.
        foreach ($polygons as $p => $rings) {
            foreach ($rings as $r => $ring) {
                self::refuseCrossings($ring, 'ring '.($r + 1).' of polygon '.($p + 1));
            }
        }

        return new self($polygons);
    }

    /**
     * One that was checked when it was saved.
     *
     * @param  array{type: string, coordinates: array<mixed>}  $geometry  a Polygon or MultiPolygon
     */
    public static function saved(array $geometry): self
    {
        // Whole degrees come back from JSON as integers.
        return new self(
            array_map(
                static fn (array $rings): array => array_map(
                    static fn (array $ring): array => array_map(
                        static fn (array $corner): array => [(float) $corner[0], (float) $corner[1]],
                        $ring,
                    ),
                    $rings,
                ),
                $geometry['type'] === 'Polygon' ? [$geometry['coordinates']] : $geometry['coordinates'],
            ),
        );
    }

    /** Whether a place is inside; for one on the edge, either answer may come. */
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

    /** @return list<Ring> all of them, with as many corners as a map can show */
    public function drawn(): array
    {
        $rings = array_merge(...$this->polygons);
        $corners = array_merge(...$rings);
        $side = max(self::extent(array_column($corners, 0)), self::extent(array_column($corners, 1)));

        return array_map(static fn (array $ring): array => self::simplified($ring, $side * self::DRAWN_WITHIN), $rings);
    }

    /** @param  list<float>  $values */
    private static function extent(array $values): float
    {
        return $values === [] ? 0.0 : max($values) - min($values);
    }

    /**
     * The corners that matter (Douglas and Peucker, 1973): between two that stay, all others lie within a distance of the line.
     *
     * @param  Ring  $ring
     * @return Ring
     */
    private static function simplified(array $ring, float $within): array
    {
        $last = count($ring) - 1;
        // A ring ends where it starts, so it is halved at the corner farthest from there.
        $far = 0;
        foreach ($ring as $i => $corner) {
            if (
                hypot($corner[0] - $ring[0][0], $corner[1] - $ring[0][1]) >
                hypot($ring[$far][0] - $ring[0][0], $ring[$far][1] - $ring[0][1])
            ) {
                $far = $i;
            }
        }
        $stays = [0 => true, $far => true, $last => true];
        $open = [[0, $far], [$far, $last]];
        while (($stretch = array_pop($open)) !== null) {
            [$from, $to] = $stretch;
            [$most, $at] = [$within, null];
            for ($i = $from + 1; $i < $to; $i++) {
                $distance = self::distance($ring[$i], $ring[$from], $ring[$to]);
                if ($distance > $most) {
                    [$most, $at] = [$distance, $i];
                }
            }
            if ($at !== null) {
                $stays[$at] = true;
                array_push($open, [$from, $at], [$at, $to]);
            }
        }
        $left = array_values(array_intersect_key($ring, $stays));

        return count($left) < self::LEAST_CORNERS ? $ring : $left;
    }

    /**
     * Distance of a point from a line segment.
     *
     * @param  array{float, float}  $point
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function distance(array $point, array $from, array $to): float
    {
        [$x, $y] = [$to[0] - $from[0], $to[1] - $from[1]];
        $length = $x * $x + $y * $y;
        $along = $length === 0.0 ? 0.0 : max(0.0, min(1.0, (($point[0] - $from[0]) * $x + ($point[1] - $from[1]) * $y) / $length));

        return hypot($point[0] - $from[0] - $along * $x, $point[1] - $from[1] - $along * $y);
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
                throw new BoundaryRefused(
                    'corner '.($i + 1)." of {$where} is no longitude and latitude in degrees; GeoJSON gives the longitude first",
                );
            }
            $corners[] = [(float) $longitude, (float) $latitude];
        }
        if ($corners[0] !== $corners[count($corners) - 1]) {
            throw new BoundaryRefused("{$where} does not end where it starts");
        }

        return $corners;
    }

    /** @param  Ring  $ring */
    private static function refuseCrossings(array $ring, string $where): void
    {
        $sides = count($ring) - 1;
        $west = $east = [];
        for ($i = 0; $i < $sides; $i++) {
            $west[$i] = min($ring[$i][0], $ring[$i + 1][0]);
            $east[$i] = max($ring[$i][0], $ring[$i + 1][0]);
        }
        asort($west);
        $order = array_keys($west);
        // From west to east: a side is only compared with those that start before it ends.
        foreach ($order as $at => $i) {
            for ($next = $at + 1; $next < $sides && $west[$order[$next]] <= $east[$i]; $next++) {
                [$a, $b] = [min($i, $order[$next]), max($i, $order[$next])];
                // Neighbors share a corner, and so do the first and the last.
                if ($b - $a > 1 && ($a !== 0 || $b !== $sides - 1) && self::cross($ring[$a], $ring[$a + 1], $ring[$b], $ring[$b + 1])) {
                    throw new BoundaryRefused("{$where} crosses itself between corners ".($a + 1).' and '.($b + 2));
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
        $turn = static fn (array $p, array $q, array $r): int => ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]) <=>
            0.0;

        return $turn($a, $b, $c) * $turn($a, $b, $d) < 0 && $turn($c, $d, $a) * $turn($c, $d, $b) < 0;
    }

    /** @param  Ring  $ring */
    private static function isInRing(array $ring, float $latitude, float $longitude): bool
    {
        // A ray to the east crosses the ring an odd number of times.
        $inside = false;
        for ($i = 1, $n = count($ring); $i < $n; $i++) {
            [[$x1, $y1], [$x2, $y2]] = [$ring[$i - 1], $ring[$i]];
            if ($y1 > $latitude !== $y2 > $latitude && $longitude < $x1 + (($latitude - $y1) / ($y2 - $y1)) * ($x2 - $x1)) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }
}
