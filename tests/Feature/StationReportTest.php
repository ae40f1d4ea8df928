<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Change;
use App\People\Role;
use App\Stations\RecordImport;
use App\Stations\ReportedCorrection;
use App\Stations\SaveDevice;
use App\Stations\Station;
use App\Stations\StationDevice;
use App\Stations\TakeDroppedFiles;
use App\Zones\Zone;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Stations that report on their own: a device with a token, and files dropped into a folder. */
class StationReportTest extends TestCase
{
    protected ?array $book = ['radish', 'kale'];

    private const DAYS = "date,tmin_c,tmax_c\n2013-01-01,-4.2,3.1\n2013-01-02,-5.0,2.4\n";

    protected function setUp(): void
    {
        parent::setUp();
        config(['anthesis.today' => '2013-01-05']);
        $this->zoneWithRecord();
        $this->app['auth']->forgetGuards();
        config(['anthesis.reports' => sys_get_temp_dir().'/reports-'.getmypid()]);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory(TakeDroppedFiles::folder());
        parent::tearDown();
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function report(string $token, string $text): TestResponse
    {
        return $this->call(
            'POST',
            '/api/station-reports',
            [],
            [],
            [],
            ['HTTP_ACCEPT' => 'application/json', 'HTTP_AUTHORIZATION' => "Bearer {$token}", 'CONTENT_TYPE' => 'text/csv'],
            $text,
        );
    }

    private function station(): Station
    {
        return Station::query()->firstOrFail();
    }

    public function test_a_device_with_a_token_sends_its_days_and_twice_is_once(): void
    {
        [, $token] = (new SaveDevice())->add($this->station(), 'Mast');
        self::assertStringNotContainsString(
            $token,
            (string) json_encode(StationDevice::query()->get()),
            'only its fingerprint is kept',
        );
        $this->report($token, self::DAYS)
            ->assertStatus(202)
            ->assertJsonPath('data', [
                'rows' => 2,
                'refused' => 0,
                'first' => '2013-01-01',
                'last' => '2013-01-02',
                'to_decide' => 0,
            ]);
        self::assertSame('2013-01-02', $this->station()->record?->last_day->format('Y-m-d'));
        $this->report($token, self::DAYS)->assertStatus(202);
        self::assertSame(2, RecordImport::query()->count());
        $this->actingAs($this->person());
        self::assertSame(
            ['the station itself', 'Educator'],
            array_column($this->getJson('/api/zones/test-basin/record-imports')->json('data'), 'imported_by'),
        );
        $this->app['auth']->forgetGuards();
        self::assertSame('Mast.csv', RecordImport::query()->latest('id')->firstOrFail()->file);
        self::assertNotNull(StationDevice::query()->firstOrFail()->reported_at);
        // The last days again, and one more.
        $this->report($token, self::DAYS."2013-01-03,-1.0,4.0\n")->assertStatus(202);
        self::assertSame('2013-01-03', $this->station()->record?->last_day->format('Y-m-d'));
    }

    public function test_what_cannot_be_read_is_refused_with_its_place_and_nothing_is_kept(): void
    {
        [, $token] = (new SaveDevice())->add($this->station(), 'Mast');
        foreach (['', "hello\nworld\n", str_repeat('x', 262145), "date,tmin_c,tmax_c\n2027-01-01,1,2\n"] as $text) {
            self::assertNotSame('', (string) $this->report($token, $text)->assertUnprocessable()->json('message'));
        }
        $this->report('guess', self::DAYS)
            ->assertUnauthorized()
            ->assertJsonPath(
                'message',
                'The token is not known here. Send “Authorization: Bearer …” with the one the device was given.',
            );
        $this->call(
            'POST',
            '/api/station-reports',
            [],
            [],
            [],
            ['HTTP_ACCEPT' => 'application/json'],
            self::DAYS,
        )->assertUnauthorized();
        self::assertSame(1, RecordImport::query()->count());
        self::assertNull(StationDevice::query()->firstOrFail()->reported_at);
    }

    public function test_a_report_of_another_place_is_left_to_a_person(): void
    {
        [, $token] = (new SaveDevice())->add($this->station(), 'Mast');
        $other = (string) file_get_contents(base_path('core/tests/fixtures/station-south.csv'));
        $this->report($token, implode("\n", array_slice(explode("\n", $other), 0, 400))."\n")
            ->assertUnprocessable()
            ->assertJsonPath(
                'message',
                'This is more likely a file of another place: most of its values differ from the record’s. Upload it at the desk, where you can check it.',
            );
    }

    public function test_who_sends_too_often_waits(): void
    {
        [, $token] = (new SaveDevice())->add($this->station(), 'Mast');
        for ($i = 0; $i < 10; $i++) {
            $this->report($token, self::DAYS)->assertStatus(202);
        }
        $this->report($token, self::DAYS)->assertTooManyRequests();
    }

    public function test_who_tries_tokens_is_stopped_although_each_try_has_another(): void
    {
        for ($i = 0; $i < 10; $i++) {
            $this->report("guess-{$i}", self::DAYS)->assertUnauthorized();
        }
        $this->report('guess-10', self::DAYS)->assertTooManyRequests();
        [, $token] = (new SaveDevice())->add($this->station(), 'Mast');
        $this->report($token, self::DAYS)->assertTooManyRequests();
    }

    public function test_a_device_never_reaches_far_back(): void
    {
        config(['anthesis.today' => '2013-02-15']);
        [, $token] = (new SaveDevice())->add($this->station(), 'Mast');
        $this->report($token, "date,tmin_c,tmax_c\n2012-12-31,-4.2,3.1\n2013-02-14,-5.0,2.4\n")
            ->assertUnprocessable()
            ->assertJsonPath(
                'message',
                '2012-12-31 is more than 45 days ago. A device reports the days since its last report, at most 45 back. Upload older days at the desk.',
            );
        $this->report($token, "date,tmin_c,tmax_c\n1740-01-01,-4.2,3.1\n1740-01-02,-5.0,2.4\n")->assertUnprocessable();
        $this->report($token, "date,tmin_c,tmax_c\n2013-01-01,-4.2,3.1\n2013-02-14,-5.0,2.4\n")->assertStatus(202);
        self::assertSame(
            ['1999-01-01', '2013-02-14'],
            [$this->station()->record?->first_day->format('Y-m-d'), $this->station()->record->last_day->format('Y-m-d')],
        );
        Zone::factory()->named('Other Basin')->create();
        $this->actingAs($this->person())
            ->post(
                '/api/zones/other-basin/record-imports',
                ['file' => $this->textFile("date,tmin_c,tmax_c\n2013-02-10,-4.2,3.1\n2013-02-11,-5.0,2.4\n")],
                ['Accept' => 'application/json'],
            )
            ->assertStatus(202);
        [, $other] = (new SaveDevice())->add(Station::query()->latest('id')->firstOrFail(), 'Other');
        $this->app['auth']->forgetGuards();
        $this->report($other, "date,tmin_c,tmax_c\n2013-02-09,-4.2,3.1\n2013-02-12,-5.0,2.4\n")
            ->assertUnprocessable()
            ->assertJsonPath(
                'message',
                '2013-02-09 is before the record begins (2013-02-10). A device never reaches further back than the record. Upload older days at the desk.',
            );
    }

    public function test_what_a_device_reports_differently_waits_until_somebody_decides(): void
    {
        [, $token] = (new SaveDevice())->add($this->station(), 'Mast');
        $before = $this->station()->record?->asRead();
        [$minimum, $maximum] = [$before?->minimum[$before->days() - 1], $before?->maximum[$before->days() - 1]];
        $report = "date,tmin_c,tmax_c\n2012-12-31,".($minimum + 6).",{$maximum}\n2013-01-01,-4.2,3.1\n";
        $this->report($token, $report)->assertStatus(202)->assertJsonPath('data.to_decide', 1);
        $value = function (): ?float {
            $record = $this->station()->record?->asRead() ?? self::fail('no record');

            return $record->minimum[$record->days() - 2] ?? null;
        };
        self::assertSame('2013-01-01', $this->station()->record?->last_day->format('Y-m-d'), 'the new day is imported');
        self::assertSame($minimum, $value(), 'the known one stays');
        $this->report($token, $report)->assertStatus(202);
        self::assertSame(1, ReportedCorrection::query()->count(), 'reported again, it is asked for once');
        $this->actingAs($this->person(Role::Volunteer));
        $open = $this->getJson('/api/zones/test-basin/reported-corrections')->assertOk()->json('data.corrections.0');
        self::assertSame(
            ['Mast', '2012-12-31', 'minimum', $minimum, round($minimum + 6, 2)],
            [$open['device'], $open['day'], $open['element'], (float) $open['was'], round($open['value'], 2)],
        );
        $this->postJson('/api/zones/test-basin/reported-corrections', ['ids' => [$open['id']], 'use' => true])->assertForbidden();
        $this->actingAs($this->person())
            ->postJson('/api/zones/test-basin/reported-corrections', ['ids' => [$open['id']], 'use' => false])
            ->assertStatus(202)
            ->assertJsonPath('data', ['corrections' => [], 'computation' => null]);
        $this->app['auth']->forgetGuards();
        $this->report($token, $report)->assertStatus(202);
        self::assertSame(1, ReportedCorrection::query()->count(), 'what was declined is not asked again');
        $this->report($token, "date,tmin_c,tmax_c\n2012-12-31,".($minimum + 5).",{$maximum}\n")
            ->assertStatus(202)
            ->assertJsonPath('data.to_decide', 1);
        $id = ReportedCorrection::query()->latest('id')->value('id');
        $this->actingAs($this->person())
            ->postJson('/api/zones/test-basin/reported-corrections', ['ids' => [$id], 'use' => true])
            ->assertStatus(202)
            ->assertJsonPath('data.corrections', []);
        self::assertEqualsWithDelta($minimum + 5, $value(), 1e-9);
        self::assertSame('corrections of Mast.csv', RecordImport::query()->latest('id')->value('file'));
    }

    public function test_dropped_files_are_taken_or_refused_with_the_reason_and_one_being_written_is_left(): void
    {
        $folder = TakeDroppedFiles::folder()."/{$this->station()->id}";
        File::ensureDirectoryExists($folder);
        File::ensureDirectoryExists(TakeDroppedFiles::folder().'/999');
        foreach (
            [
                "{$folder}/days.csv" => self::DAYS,
                "{$folder}/bad.csv" => "hello\nworld\n",
                "{$folder}/growing.csv" => self::DAYS,
                TakeDroppedFiles::folder().'/999/lost.csv' => self::DAYS,
            ] as $path => $text
        ) {
            file_put_contents($path, $text);
            touch($path, time() + (str_contains($path, 'growing') ? 3600 : -60));
        }
        Artisan::call('anthesis:collect');
        self::assertSame('2013-01-02', $this->station()->record?->last_day->format('Y-m-d'));
        self::assertCount(1, glob("{$folder}/taken/*-days.csv") ?: []);
        [$reason] = glob("{$folder}/refused/*-bad.csv.txt") ?: self::fail('no reason');
        self::assertNotSame('', trim((string) file_get_contents($reason)));
        self::assertFileExists("{$folder}/growing.csv");
        self::assertFileExists(TakeDroppedFiles::folder().'/999/lost.csv');
    }

    public function test_an_administrator_adds_a_device_and_is_told_its_token_once(): void
    {
        self::assertSame(0, Artisan::call('anthesis:add-device', ['zone' => 'test-basin', 'device' => 'Mast']));
        preg_match('/Token: (\w{40})/', Artisan::output(), $found);
        self::assertSame($this->station()->id, StationDevice::bearing($found[1] ?? '')?->station_id);
        self::assertSame(1, Artisan::call('anthesis:add-device', ['zone' => 'nowhere', 'device' => 'Mast']));
        self::assertSame(
            1,
            Artisan::call('anthesis:add-device', ['zone' => 'test-basin', 'device' => 'Mast', '--station' => 'Moon']),
        );
    }

    public function test_a_device_is_added_at_the_desk_told_its_token_once_and_ended(): void
    {
        $station = $this->station();
        $this->actingAs($this->person(Role::Volunteer))
            ->postJson('/api/zones/test-basin/station-devices', ['station' => $station->id, 'name' => 'Mast'])
            ->assertForbidden();
        $this->actingAs($this->person())
            ->postJson('/api/zones/test-basin/station-devices', ['station' => 999, 'name' => 'Mast'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.station.0', 'This zone has no such station. Choose another one.');
        $added = $this->postJson('/api/zones/test-basin/station-devices', ['station' => $station->id, 'name' => 'Mast'])
            ->assertCreated()
            ->json('data');
        self::assertSame(
            ['id', 'station', 'name', 'reported_at'],
            array_keys($this->getJson('/api/zones/test-basin/station-devices')->assertOk()->json('data.0')),
            'the token is not told again',
        );
        $this->app['auth']->forgetGuards();
        $this->report($added['token'], "date,tmin_c,tmax_c\n2013-01-01,-4.0,3.0\n")->assertStatus(202);
        $this->actingAs($this->person());
        self::assertNotNull($this->getJson('/api/zones/test-basin/station-devices')->json('data.0.reported_at'));
        $this->deleteJson("/api/station-devices/{$added['device']['id']}")
            ->assertOk()
            ->assertJsonPath('data', []);
        $this->app['auth']->forgetGuards();
        $this->report($added['token'], "date,tmin_c,tmax_c\n2013-01-02,-4.0,3.0\n")->assertUnauthorized();
        $again = "/api/station-devices/{$added['device']['id']}/restoration";
        $this->actingAs($this->person(Role::Volunteer))->postJson($again)->assertForbidden();
        $this->actingAs($this->person())->postJson($again)->assertOk()->assertJsonPath('data.0.name', 'Mast');
        $this->postJson($again)->assertNotFound();
        $this->app['auth']->forgetGuards();
        $this->report($added['token'], "date,tmin_c,tmax_c\n2013-01-02,-4.0,3.0\n")->assertStatus(202);
        self::assertSame(['connected', 'disconnected', 'reconnected'], $this->changesOfDevices());
    }

    public function test_a_device_that_was_disconnected_an_hour_ago_is_gone(): void
    {
        [$device] = (new SaveDevice())->add($this->station(), 'Mast');
        $this->actingAs($this->person())->deleteJson("/api/station-devices/{$device->id}")->assertOk();
        $this->travel(59)->minutes();
        Artisan::call('anthesis:prune');
        self::assertSame(1, StationDevice::query()->withTrashed()->count(), 'it can still be reconnected');
        $this->travel(2)->minutes();
        $this->postJson("/api/station-devices/{$device->id}/restoration")->assertNotFound();
        Artisan::call('anthesis:prune');
        self::assertSame(0, StationDevice::query()->withTrashed()->count());
    }

    /** @return list<string> */
    private function changesOfDevices(): array
    {
        return Change::query()->where('subject', 'station_devices')->orderBy('id')->pluck('act')->all();
    }
}
