<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Change;
use App\People\Role;
use App\Zones\Boundary;
use App\Zones\BoundaryRefused;
use App\Zones\NearZones;
use App\Zones\Zone;
use App\Zones\ZoneBoundary;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A place is led to its zone: by a boundary, otherwise by distance and elevation, and honestly if it lies between two. */
final class FindTest extends TestCase
{
    protected ?array $book = ['radish'];

    /**
     * A square of a fifth of a degree around a place.
     *
     * @return array{type: string, coordinates: list<list<list<float>>>}
     */
    private static function square(float $longitude, float $latitude): array
    {
        return [
            'type' => 'Polygon',
            'coordinates' => [
                [
                    [$longitude - 0.1, $latitude - 0.1],
                    [$longitude + 0.1, $latitude - 0.1],
                    [$longitude + 0.1, $latitude + 0.1],
                    [$longitude - 0.1, $latitude + 0.1],
                    [$longitude - 0.1, $latitude - 0.1],
                ],
            ],
        ];
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function bring(mixed $features, ?string $key = null): TestResponse
    {
        return $this->post(
            '/api/zone-boundaries',
            [
                'file' => $this->textFile(
                    (string) json_encode(['type' => 'FeatureCollection', 'features' => $features]),
                    'zones.geojson',
                ),
                'key' => $key ?? uniqid('boundaries-'),
            ],
            ['Accept' => 'application/json'],
        );
    }

    /** @return array<string, mixed> */
    private static function feature(string $zone, mixed $geometry): array
    {
        return ['type' => 'Feature', 'properties' => ['zone' => $zone], 'geometry' => $geometry];
    }

    /** @return array<string, array{mixed, string}> */
    public static function broken(): array
    {
        $corner = static fn (array $ring): array => ['type' => 'Polygon', 'coordinates' => [$ring]];

        return [
            'a point' => [['type' => 'Point', 'coordinates' => [1, 2]], 'no Polygon or MultiPolygon'],
            'nothing' => [null, 'no Polygon or MultiPolygon'],
            'no ring' => [['type' => 'MultiPolygon', 'coordinates' => [[]]], 'polygon 1 has no ring'],
            'a line' => [$corner([[0, 0], [1, 1], [0, 0]]), 'ring 1 of polygon 1 has fewer than four corners'],
            'open' => [$corner([[0, 0], [1, 0], [1, 1], [0, 1]]), 'does not end where it starts'],
            'latitude first' => [
                $corner([[46.8, -98.2], [46.8, 198], [46, 198], [46.8, -98.2]]),
                'corner 1 of ring 1 of polygon 1 is no longitude and latitude in degrees',
            ],
            'a bow' => [$corner([[0, 0], [1, 1], [1, 0], [0, 1], [0, 0]]), 'crosses itself between corners 1 and 4'],
            'far too fine' => [
                $corner([
                    ...array_map(static fn (int $i): array => [cos($i * 0.0015), sin($i * 0.0015)], range(0, 4001)),
                    [1.0, 0.0],
                ]),
                'more than 4000',
            ],
        ];
    }

    #[DataProvider('broken')]
    public function test_a_boundary_that_is_none_is_refused_with_the_place(mixed $geometry, string $why): void
    {
        $this->expectException(BoundaryRefused::class);
        $this->expectExceptionMessage($why);
        Boundary::fromGeoJson($geometry);
    }

    public function test_a_place_in_a_hole_is_outside_and_one_in_a_second_part_inside(): void
    {
        $hole = [[-0.05, -0.05], [0.05, -0.05], [0.05, 0.05], [-0.05, 0.05], [-0.05, -0.05]];
        $boundary = Boundary::fromGeoJson([
            'type' => 'MultiPolygon',
            'coordinates' => [[self::square(0, 0)['coordinates'][0], $hole], self::square(3, 1)['coordinates']],
        ]);
        self::assertSame(
            [false, true, true, false],
            [$boundary->contains(0, 0), $boundary->contains(0.08, 0.08), $boundary->contains(1, 3), $boundary->contains(0, 3)],
        );
        self::assertCount(3, $boundary->drawn());
        self::assertEquals($boundary, Boundary::fromGeoJson($boundary->toGeoJson()));
        self::assertEquals($boundary, Boundary::saved(json_decode((string) json_encode($boundary->toGeoJson()), true)));
    }

    public function test_boundaries_are_taken_all_or_none_and_each_that_cannot_be_is_named(): void
    {
        $this->actingAs($this->person());
        Zone::factory()->create(['name' => 'Low', 'slug' => 'low', 'latitude' => 46.7, 'longitude' => -98.0]);
        Zone::factory()->create(['name' => 'High', 'slug' => 'high', 'latitude' => 47.1, 'longitude' => -97.7]);
        $this->bring([
            self::feature('low', self::square(-98.0, 46.7)),
            self::feature('Moon', self::square(1, 1)),
            self::feature('high', self::square(0, 0)),
        ])
            ->assertUnprocessable()
            ->assertJsonValidationErrors([
                'file' => 'Feature 2: no zone is called “Moon”. Feature 3: the position of High (47.1° N, 97.7° W) lies outside of it. Nothing was taken.',
            ]);
        self::assertSame(0, ZoneBoundary::query()->count());
        $this->bring([self::feature('low', self::square(-98.0, 46.7)), self::feature('LOW', self::square(-98.0, 46.7))])
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['file' => 'make them one MultiPolygon']);
        $other = ['file' => $this->textFile('<kml/>'), 'key' => 'a-file-of-maps'];
        $this->post('/api/zone-boundaries', $other, ['Accept' => 'application/json'])
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['file' => 'not GeoJSON with features']);
        $this->bring([self::feature('High', self::square(-97.7, 47.1)), self::feature('low', self::square(-98.0, 46.7))])
            ->assertOk()
            ->assertJsonCount(1, 'data.0.rings');
        $this->bring([self::feature('low', self::square(-98.05, 46.7))])->assertOk();
        self::assertSame(3, ZoneBoundary::query()->count(), 'what was there before stays');
        self::assertEqualsWithDelta(-98.15, $this->getJson('/api/zone-boundaries')->json('data.1.rings.0.0.0'), 1e-9);
        $this->actingAs($this->person(Role::Volunteer));
        $this->bring([self::feature('low', self::square(-98.0, 46.7))])->assertForbidden();
    }

    public function test_an_upload_of_boundaries_is_undone_unless_there_are_newer_ones(): void
    {
        $this->actingAs($this->person());
        Zone::factory()->create(['name' => 'Low', 'slug' => 'low', 'latitude' => 46.7, 'longitude' => -98.0]);
        Zone::factory()->create(['name' => 'High', 'slug' => 'high', 'latitude' => 47.1, 'longitude' => -97.7]);
        $west = fn (): float => $this->getJson('/api/zone-boundaries')->json('data.1.rings.0.0.0');
        $this->bring([self::feature('low', self::square(-98.0, 46.7))], 'first-upload')->assertOk();
        $moved = [self::feature('low', self::square(-98.05, 46.7)), self::feature('high', self::square(-97.7, 47.1))];
        $this->bring($moved, 'second-upload')->assertOk();
        $this->bring($moved, 'second-upload')->assertOk();
        self::assertSame(3, ZoneBoundary::query()->count(), 'the same upload again does nothing');
        $other = [self::feature('low', self::square(-98.02, 46.7)), $moved[1]];
        foreach ([$other, array_slice($moved, 1)] as $file) {
            $this->bring($file, 'second-upload')->assertUnprocessable()->assertJsonValidationErrors(['key' => 'under this key']);
        }
        self::assertEqualsWithDelta(-98.15, $west(), 1e-9);
        $this->deleteJson('/api/zone-boundaries/first-upload')
            ->assertConflict()
            ->assertJsonPath('message', 'Somebody has uploaded other boundaries since. Look at those on the map first.');
        self::assertSame(3, ZoneBoundary::query()->count(), 'and nothing is undone');
        $this->deleteJson('/api/zone-boundaries/second-upload')->assertOk()->assertJsonPath('data.0.rings', []);
        self::assertEqualsWithDelta(-98.1, $west(), 1e-9);
        $this->deleteJson('/api/zone-boundaries/second-upload')->assertNotFound();
        $acts = Change::query()->orderBy('id')->pluck('act')->filter(static fn (string $act): bool => str_starts_with($act, 'boundary'));
        self::assertSame(
            ['boundary-set', 'boundary-set', 'boundary-set', 'boundary-undone', 'boundary-undone'],
            $acts->values()->all(),
        );
        $this->actingAs($this->person(Role::Volunteer))->deleteJson('/api/zone-boundaries/first-upload')->assertForbidden();
    }

    public function test_height_counts_beside_distance_and_a_boundary_before_both(): void
    {
        $low = Zone::factory()->create([
            'name' => 'Low',
            'slug' => 'low',
            'latitude' => 46.0,
            'longitude' => -98.0,
            'height_m' => 400,
        ]);
        $high = Zone::factory()->create([
            'name' => 'High',
            'slug' => 'high',
            'latitude' => 46.2,
            'longitude' => -98.0,
            'height_m' => 1200,
        ]);
        $zones = Zone::query()->get();
        $slugs = static fn (float $latitude, ?int $height): array => array_map(
            static fn (array $n): string => $n['zone']->slug,
            NearZones::of($zones, $latitude, -98.0, $height),
        );
        self::assertSame(['low', 'high'], $slugs(46.05, null));
        self::assertSame(['high', 'low'], $slugs(46.05, 1150), 'a hundred metres are twenty kilometres');
        $near = NearZones::of($zones, 46.05, -98.0, 500);
        self::assertEqualsWithDelta([5.56 + 20.0, 16.68 + 140.0], array_column($near, 'counted_km'), 0.05);
        self::assertSame([100, -700], array_column($near, 'height_m'));
        self::assertSame([], $slugs(48.0, null), 'too far from both');
        self::assertFalse(NearZones::isBetween(NearZones::of($zones, 46.05, -98.0, null)));
        self::assertTrue(NearZones::isBetween(NearZones::of($zones, 46.09, -98.0, null)));
        self::assertFalse(NearZones::isBetween(array_slice($near, 0, 1)));
        ZoneBoundary::query()->create(['zone_id' => $high->id, 'geometry' => self::square(-98.0, 46.05), 'author' => 'W']);
        self::assertSame(['high', 'low'], $slugs(46.09, 410));
        self::assertFalse(NearZones::isBetween(NearZones::of($zones, 46.09, -98.0, null)), 'one of them has it inside');
        self::assertSame($low->id, NearZones::of($zones, 45.9, -98.0, 410)[0]['zone']->id);
    }

    public function test_a_gardener_is_told_where_their_position_lies_and_nothing_of_it_is_kept(): void
    {
        $this->actingAs($this->person());
        Zone::factory()->create();
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->publish()->assertStatus(202);
        $this->get('/find?at=46.81,-98.20')
            ->assertOk()
            ->assertSee('Test Basin is the nearest, by distance and elevation.')
            ->assertHeader('Cache-Control', 'no-store, private');
        $this->get('/en-f/find?at=46.81,-98.20&height=2000&unit=ft')->assertSee('this place is 660 ft higher');
        $this->get('/find?at=10,10')->assertSee('No zone is near this place.');
        $this->get('/es/find?at=x')->assertSee('No se dio ninguna posición.');
        ZoneBoundary::query()->create([
            'zone_id' => Zone::query()->firstOrFail()->id,
            'geometry' => self::square(-98.2, 46.8),
            'author' => 'W',
        ]);
        $this->get('/find?at=46.81,-98.20')->assertSee('This place is in Test Basin.');
    }

    public function test_a_boundary_of_thousands_of_corners_is_checked_once_and_drawn_with_those_that_show(): void
    {
        $ring = [];
        for ($i = 0; $i < 3900; $i++) {
            $angle = (2 * M_PI * $i) / 3900;
            $ring[] = [-98.2 + 0.3 * cos($angle) * (1 + 0.0005 * sin(97 * $angle)), 46.8 + 0.3 * sin($angle)];
        }
        $ring[] = $ring[0];
        $boundary = Boundary::fromGeoJson(['type' => 'Polygon', 'coordinates' => [$ring]]);
        [$drawn] = $boundary->drawn();
        self::assertLessThan(200, count($drawn));
        self::assertGreaterThan(20, count($drawn));
        self::assertSame([$ring[0], $ring[0]], [$drawn[0], $drawn[count($drawn) - 1]]);
        foreach ($ring as $corner) {
            self::assertLessThan(
                0.6 / 600 + 1e-9,
                min(
                    array_map(
                        static fn (int $i): float => self::distance($corner, $drawn[$i - 1], $drawn[$i]),
                        range(1, count($drawn) - 1),
                    ),
                ),
                'none strays further than a pixel',
            );
        }
        // What was saved is not checked again: this one crosses itself, and would be refused.
        $crossing = ['type' => 'MultiPolygon', 'coordinates' => [[[[0, 0], [1, 1], [1, 0], [0, 1], [0, 0]]]]];
        self::assertCount(1, Boundary::saved($crossing)->drawn());
        self::assertSame([[0.0, 0.0], [1.0, 1.0], [1.0, 0.0], [0.0, 1.0], [0.0, 0.0]], Boundary::saved($crossing)->drawn()[0]);
        $this->expectExceptionMessage('crosses itself between corners 1 and 4');
        Boundary::fromGeoJson($crossing);
    }

    public function test_corners_are_counted_before_anything_else_is_looked_at(): void
    {
        $ring = array_map(static fn (int $i): array => [$i % 2, $i / 5000], range(0, 4100));
        $this->expectExceptionMessage('it has 4102 corners, more than 4000');
        Boundary::fromGeoJson(['type' => 'Polygon', 'coordinates' => [[...$ring, $ring[0]]]]);
    }

    /**
     * @param  array{float, float}  $point
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function distance(array $point, array $from, array $to): float
    {
        [$x, $y] = [$to[0] - $from[0], $to[1] - $from[1]];
        $along = max(0.0, min(1.0, (($point[0] - $from[0]) * $x + ($point[1] - $from[1]) * $y) / ($x * $x + $y * $y)));

        return hypot($point[0] - $from[0] - $along * $x, $point[1] - $from[1] - $along * $y);
    }
}
