<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Soil\Site as SoilSite;
use App\People\Role;
use App\Sites\Site;
use Tests\TestCase;

final class SitesTest extends TestCase
{
    private const ROOF = [
        'name' => 'roof',
        'zone' => null,
        'air' => 1.5,
        'sun' => 4.0,
        'rate' => 1.2,
        'protection' => -0.5,
        'offset' => 0.0,
        'note' => 'Windy.',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
    }

    /** @return array<string, list<float>> normal soil by site */
    private function soils(): array
    {
        return array_column($this->getJson('/api/zones/test-basin/climate')->assertOk()->json('data.climate.sites'), 'soil', 'site');
    }

    public function test_a_service_starts_with_eleven_sites_and_every_zone_follows_their_soil(): void
    {
        $sites = $this->getJson('/api/sites')->assertOk()->json('data');
        self::assertSame(SoilSite::names(), array_column($sites, 'name'));
        $soils = $this->soils();
        self::assertSame(SoilSite::names(), array_keys($soils));
        self::assertGreaterThan($soils['open ground'][100] + 1.0, $soils['dark plastic mulch'][100]);
    }

    public function test_a_changed_site_reaches_the_sums_at_once_and_its_first_numbers_can_be_put_back(): void
    {
        $before = $this->soils()['raised bed'][100];
        $bed = Site::query()->where('name', 'raised bed')->firstOrFail();
        $changed = [
            'name' => 'raised bed',
            'air' => 0,
            'sun' => 6,
            'rate' => 1.15,
            'protection' => 0,
            'offset' => 0.5,
            'note' => 'Dark compost.',
        ];
        $site = $this->patchJson("/api/sites/{$bed->id}", $changed + ['version' => 1])
            ->assertOk()
            ->json('data');
        self::assertSame([6, 2.8], [$site['sun'], $site['first_numbers']['sun']]);
        self::assertGreaterThan($before + 1.0, $this->soils()['raised bed'][100]);
        $this->patchJson("/api/sites/{$bed->id}", $site['first_numbers'] + $changed + ['version' => 2])->assertOk();
        self::assertSame($before, $this->soils()['raised bed'][100]);
    }

    public function test_a_site_has_its_kind_of_ground(): void
    {
        $grounds = array_column($this->getJson('/api/sites')->assertOk()->json('data'), 'ground', 'name');
        self::assertSame(['loam', 'bed mix', 'bed mix'], [$grounds['open ground'], $grounds['raised bed'], $grounds['container']]);
        $roof = $this->postJson('/api/sites', ['ground' => 'sand'] + self::ROOF)
            ->assertCreated()
            ->assertJsonPath('data.ground', 'sand')
            ->json('data');
        $clay = ['ground' => 'clay', 'version' => 1] + self::ROOF;
        $this->patchJson("/api/sites/{$roof['id']}", $clay)->assertJsonPath('data.ground', 'clay');
        $this->patchJson("/api/sites/{$roof['id']}", ['version' => 2] + self::ROOF)->assertJsonPath('data.ground', 'clay');
        $this->postJson('/api/sites', ['name' => 'moon', 'ground' => 'dust'] + self::ROOF)
            ->assertUnprocessable()
            ->assertJsonPath('errors.ground.0', 'Choose one of these kinds of ground: sand, sandy loam, loam, silt loam, clay, bed mix.');
    }

    public function test_sites_are_added_for_all_or_for_one_zone_and_taken_out(): void
    {
        $everywhere = $this->postJson('/api/sites', self::ROOF)->assertCreated()->json('data.id');
        $this->postJson('/api/sites', ['name' => 'school bed', 'zone' => 'test-basin', 'offset' => 1.2] + self::ROOF)->assertCreated();
        self::assertSame(['roof', 'school bed'], array_slice(array_keys($this->soils()), -2));
        $this->postJson('/api/sites', self::ROOF)
            ->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'There is a growing site with that name already.');
        $this->deleteJson("/api/sites/{$everywhere}")->assertNoContent();
        self::assertArrayNotHasKey('roof', $this->soils());
        $this->deleteJson('/api/sites/'.Site::query()->where('preset', true)->value('id'))->assertUnprocessable();
        self::assertSame(12, Site::query()->count());
    }

    public function test_numbers_out_of_range_and_people_without_the_right_are_refused(): void
    {
        $this->postJson('/api/sites', [
            'name' => 'Bank',
            'zone' => ['test-basin'],
            'air' => 0,
            'sun' => 2,
            'rate' => 1,
            'protection' => 0,
            'offset' => 0,
            'note' => '',
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.zone.0', 'The zone field must be a string.');
        $this->postJson('/api/sites', ['rate' => 9, 'sun' => 'hot'] + self::ROOF)
            ->assertUnprocessable()
            ->assertJsonPath('errors.rate.0', 'Enter a number between 0.1 and 3.')
            ->assertJsonPath('errors.sun.0', 'Give a number.');
        $this->actingAs($this->person(Role::Volunteer));
        $this->postJson('/api/sites', self::ROOF)->assertForbidden();
        $this->deleteJson('/api/sites/1')->assertForbidden();
        self::assertSame(11, Site::query()->count());
    }

    public function test_readings_calibrate_a_site_and_what_they_say_can_be_kept_as_a_site_of_the_zone(): void
    {
        // Three mornings two degrees warmer than the model, at two depths, of which the more frequent is used.
        $site = Site::query()->where('name', 'open ground')->firstOrFail();
        $model = $this->calibrate(
            $site->id,
            "timestamp,depth_cm,temp_c\n2005-04-10 09:00,5,0\n2005-04-14 09:00,5,0\n2005-04-20 09:00,5,0\n",
        );
        $rows = "timestamp,depth_cm,temp_c\n2005-04-10 10:00,10,9\n";
        foreach ($model['points'] as $point) {
            $rows .= "{$point['date']} 09:00,5,".round($point['before'] - $point['reading'] + 2.0, 2)."\n";
        }
        $found = $this->calibrate($site->id, $rows);
        self::assertSame([0.05, 4, 3, false], [$found['depth'], $found['readings'], $found['used'], $found['rate_fitted']]);
        self::assertEqualsWithDelta(1.0, $found['offset'], 0.02, 'three readings count by half');
        self::assertEqualsWithDelta([2.0, 1.0], [$found['error_before'], $found['error_after']], 0.02);

        $before = $this->soils()['open ground'];
        $this->postJson('/api/sites', [
            'name' => 'school plot',
            'zone' => 'test-basin',
            'air' => 0,
            'sun' => 2,
            'rate' => $found['rate'],
            'protection' => 0,
            'offset' => $found['offset'],
            'note' => '',
        ])->assertCreated();
        self::assertEqualsWithDelta($before[150] + $found['offset'], $this->soils()['school plot'][150], 0.11);
    }

    public function test_readings_that_cannot_be_taken_are_refused_with_their_place(): void
    {
        $post = fn (string $text) => $this->post(
            '/api/zones/test-basin/calibrations',
            ['site' => 1, 'file' => $this->textFile($text, 'readings.csv')],
            ['Accept' => 'application/json'],
        )->assertUnprocessable();
        $post("timestamp,temp_c\n2005-04-10,8\n")->assertJsonPath(
            'errors.file.0',
            'Line 2, column “time”: the hour of the reading is missing: soil swings by several degrees in a day. Add a column “hour”.',
        );
        $post("timestamp,temp_c\n1950-04-10 09:00,8\n")->assertJsonPath(
            'errors.file.0',
            'No reading falls on a day whose minimum and maximum are on record.',
        );
    }

    /** @return array<string, mixed> */
    private function calibrate(int $site, string $text): array
    {
        return $this->post(
            '/api/zones/test-basin/calibrations',
            ['site' => $site, 'file' => $this->textFile($text, 'readings.csv')],
            ['Accept' => 'application/json'],
        )
            ->assertOk()
            ->json('data');
    }
}
