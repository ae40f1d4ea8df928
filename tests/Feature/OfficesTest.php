<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\Crop;
use App\Crops\FoundOffice;
use App\Log\Bed;
use App\Log\LogPhoto;
use App\Office\Office;
use App\Operations\Models;
use App\Operations\OfficeInUse;
use App\Operations\OfOffice;
use App\People\BelongsToPerson;
use App\People\Change;
use App\People\ChangeChain;
use App\People\Login;
use App\People\Membership;
use App\People\NamesPerson;
use App\People\Role;
use App\People\User;
use App\Sites\Site;
use App\Soil\SoilSpot;
use App\Stations\Station;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Populated;
use Tests\TestCase;

/** Several offices on one installation: nobody reads or writes what belongs to another; what is published is public. */
final class OfficesTest extends TestCase
{
    use Populated;

    /** Models that belong to the installation and not to an office, and why. */
    private const NOBODYS = [
        'App\Office\Office' => 'they are what rows belong to',
        'App\People\User' => 'a person may work in several: found by membership',
        'App\People\Login' => 'of a person',
        'App\People\Token' => 'of a person, looked up before it is known whose; its office_id says where it is good',
        'App\People\ChangeSeal' => 'one chain over all changes, without their content',
        'App\Results\Result' => 'found by a fingerprint of all that it was computed from',
        'App\Operations\Heartbeat' => 'of the machine',
        'App\Operations\DemoClock' => 'of the demonstration',
    ];

    private Office $other;

    private User $stranger;

    private function foundOther(): void
    {
        $this->other = app(FoundOffice::class)->execute('Partner District');
        $this->stranger = User::factory()->as(Role::Administrator)->in($this->other)->create()->refresh();
    }

    public function test_every_model_is_of_an_office_or_says_why_not(): void
    {
        $models = Models::all();
        self::assertGreaterThan(40, count($models));
        foreach ($models as $model) {
            $isScoped = in_array(OfOffice::class, class_uses($model), true);
            self::assertSame(! isset(self::NOBODYS[$model]), $isScoped, "{$model} needs OfOffice, or a reason in this test.");
        }
    }

    public function test_no_query_of_any_model_sees_a_row_of_another_office(): void
    {
        $this->populate();
        $this->foundOther();
        $first = Office::query()->orderBy('id')->firstOrFail();
        $seen = [];
        foreach (Models::all() as $model) {
            if (isset(self::NOBODYS[$model])) {
                continue;
            }
            $all = $model::query()->count();
            $here = OfficeInUse::within($first->id, static fn (): int => $model::query()->count());
            $there = OfficeInUse::within($this->other->id, static fn (): int => $model::query()->count());
            self::assertSame($all, $here + $there, "{$model}: a row that is seen twice, or nowhere");
            $seen[$model] = [$here, $there];
            if ($here > 0) {
                $id = OfficeInUse::within($first->id, static fn (): mixed => $model::query()->firstOrFail()->getKey());
                self::assertNull(
                    OfficeInUse::within($this->other->id, static fn (): ?Model => $model::query()->find($id)),
                    "{$model} {$id} was found from the other office",
                );
                self::assertSame(
                    0,
                    OfficeInUse::within($this->other->id, static fn (): int => $model::query()->whereKey($id)->toBase()->count()),
                    "{$model} {$id} can be written from the other office",
                );
            }
        }
        // Those that the other office starts with, and nothing else.
        $expected = ['App\Crops\Crop', 'App\Crops\ShippedCrop', 'App\People\Change', 'App\People\Membership', 'App\Sites\Site'];
        $there = array_keys(array_filter($seen, static fn (array $n): bool => $n[1] > 0));
        sort($there);
        self::assertSame($expected, $there);
        self::assertGreaterThan(23, count(array_filter($seen, static fn (array $n): bool => $n[0] > 0)), 'this test looks at few rows');
    }

    public function test_where_nobody_said_whose_rows_are_meant_there_are_none(): void
    {
        $this->foundOther();
        self::assertSame(null, OfficeInUse::id(), 'commands and jobs are of the installation');
        try {
            Crop::query()->create(['slug' => 'x', 'position' => 1, 'cells' => []]);
            self::fail('a row of no office in particular');
        } catch (LogicException $e) {
            self::assertSame('There are several offices: say which.', $e->getMessage());
        }
        OfficeInUse::leave();
        try {
            Zone::query()->count();
            self::fail('a query in no office');
        } catch (LogicException $e) {
            self::assertSame('Nobody said whose rows these are: enter an office first.', $e->getMessage());
        }
        // An office is left again, whatever happens in it.
        try {
            OfficeInUse::within($this->other->id, static fn () => throw new LogicException('x'));
        } catch (LogicException) {
        }
        $this->expectExceptionMessage('Nobody said whose rows these are');
        OfficeInUse::id();
    }

    public function test_what_is_told_one_office_says_nothing_of_another(): void
    {
        $this->populate();
        $this->patchJson('/api/crops/radish', [
            'cells' => ['maturity_days' => '39'],
            'note' => 'A note of ours.',
            'version' => 1,
        ])->assertOk();
        $this->foundOther();
        Queue::fake();
        $ours = [
            'Test Basin',
            'test-basin',
            'Harrow Red',
            'A note of ours',
            'before-the-attack',
            'Lilac',
            (string) $this->getJson('/api/session')->json('data.user.email'),
        ];
        $this->actingAs($this->stranger);
        $asked = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (
                ! in_array('GET', $route->methods(), true) ||
                ! str_starts_with($route->uri(), 'api/') ||
                str_contains($route->uri(), '{zone}')
            ) {
                continue;
            }
            $address = (string) preg_replace(['/\{crop\}/', '/\{\w+\}/'], ['radish', '1'], $route->uri());
            $answer = (string) $this->getJson("/{$address}")->getContent();
            $asked++;
            foreach ($ours as $word) {
                self::assertStringNotContainsString($word, $answer, "GET /{$address}");
            }
        }
        self::assertGreaterThan(24, $asked);
        foreach (['crops.csv', 'changes.csv', 'my-log.csv'] as $file) {
            $content = $this->get("/desk-files/{$file}")
                ->assertOk()
                ->streamedContent();
            foreach ($ours as $word) {
                self::assertStringNotContainsString($word, $content, $file);
            }
        }
        self::assertSame(
            '26',
            $this->getJson('/api/crops/radish')->json('data.cells.maturity_days') ?? '',
            'their own radish is as it ships',
        );
    }

    public function test_a_photograph_is_seen_in_its_office_and_the_same_picture_can_be_anothers_too(): void
    {
        $this->actingAs($this->person());
        $picture = UploadedFile::fake()->image('bed.jpg', 40, 30);
        $send = fn (): mixed => $this->post('/api/log-photos', ['photo' => $picture], ['Accept' => 'application/json'])
            ->assertCreated()
            ->json('data.photo');
        $ours = $send();
        $this->get("/desk-files/log-photos/{$ours}.jpg")->assertOk();
        $this->foundOther();
        $this->actingAs($this->stranger)
            ->get("/desk-files/log-photos/{$ours}.jpg")
            ->assertNotFound();
        self::assertSame($ours, $send());
        $this->get("/desk-files/log-photos/{$ours}.jpg")->assertOk();
        self::assertSame(2, LogPhoto::query()->where('checksum', $ours)->count());
    }

    /**
     * A person of the first office names a row of the other's, in what they send about their own zone.
     *
     * @return array<string, array{string, string, array<string, mixed>, string}> method, address, what is sent, the refused field
     */
    public static function foreignRows(): array
    {
        $line = [
            'key' => 'a-line-of-mine',
            'act' => 'sown',
            'on' => '2012-04-12',
            'crop' => 'radish',
            'garden' => 'School',
            'bed' => 'Bed 9',
            'written_at' => 1,
        ];
        $entries = static fn (array $more): array => ['sent_at' => 2, 'by' => 'desk', 'entries' => [$more + $line]];

        return [
            'a home zone' => ['PUT', '/api/profile', ['units' => null, 'dates' => null, 'home_zone' => 'partner-zone'], 'home_zone'],
            'a zone of the trail' => ['GET', '/api/changes?zone=partner-zone', [], 'zone'],
            'a zone that needs somebody' => ['GET', '/api/attention?zone=partner-zone', [], 'zone'],
            'a zone of a site' => [
                'POST',
                '/api/sites',
                [
                    'name' => 'x',
                    'zone' => 'partner-zone',
                    'air' => 0,
                    'sun' => 0,
                    'rate' => 1,
                    'protection' => 0,
                    'offset' => 0,
                    'note' => null,
                ],
                'zone',
            ],
            'a zone of a trial' => ['POST', '/api/crops/radish/trials', ['zone' => 'partner-zone', 'cells' => []], 'zone'],
            'a site of a spot' => ['POST', '/api/zones/test-basin/soil-spots', ['name' => 'x', 'site' => '{site}'], 'site'],
            'a site of a computation' => ['POST', '/api/zones/test-basin/computations', ['site' => '{site}'], 'site'],
            'a site of a bed' => [
                'POST',
                '/api/zones/test-basin/beds',
                ['garden' => 'x', 'name' => 'x', 'site' => '{site}', 'length_m' => 1, 'width_m' => 1],
                'site',
            ],
            'a station of the zone' => [
                'PUT',
                '/api/zones/test-basin/stations',
                ['stations' => [['id' => '{station}', 'height_m' => 1, 'lapse' => null, 'matched' => false]]],
                'stations.0.id',
            ],
            'a station of a device' => [
                'POST',
                '/api/zones/test-basin/station-devices',
                ['station' => '{station}', 'name' => 'x'],
                'station',
            ],
            'a spot of a reading' => [
                'POST',
                '/api/zones/test-basin/soil-readings',
                ['key' => 'a-reading-of-mine', 'spot' => '{spot}', 'on' => '2012-04-12', 'hour' => 9.5, 'depth' => 0.05, 'celsius' => 9],
                'spot',
            ],
            'a bed of a planting' => [
                'PUT',
                '/api/zones/test-basin/plantings',
                [
                    'add' => [
                        [
                            'key' => 'a-planting-of-mine',
                            'crop' => 'radish',
                            'route' => 'direct',
                            'bed' => '{bed}',
                            'on' => '2012-05-10',
                            'metres' => 2,
                        ],
                    ],
                ],
                'bed',
            ],
            'a crop that is theirs alone' => [
                'POST',
                '/api/zones/test-basin/objections',
                ['key' => 'an-objection-1', 'crop' => 'partners-own', 'text' => 'x'],
                'crop',
            ],
            'their crop in a trial' => [
                'POST',
                '/api/zones/test-basin/trials',
                [
                    'key' => 'a-trial-of-mine',
                    'crop' => 'partners-own',
                    'route' => 'direct',
                    'measured_in' => 'stems',
                    'question' => 'x',
                    'waves' => [['name' => 'x', 'on' => '2012-04-01']],
                    'varieties' => [null],
                    'repeats' => 1,
                ],
                'crop',
            ],
            'their crop in the log' => ['POST', '/api/zones/test-basin/log-entries', $entries(['crop' => 'partners-own']), 'crop'],
            'their photograph in the log' => ['POST', '/api/zones/test-basin/log-entries', $entries(['photo' => '{photo}']), 'photo'],
            'their plant in the log' => ['POST', '/api/zones/test-basin/log-entries', $entries(['act' => 'seen', 'cue' => '{cue}']), 'cue'],
            'their sowing in the log' => [
                'POST',
                '/api/zones/test-basin/log-entries',
                $entries(['act' => 'up', 'sowing' => 'a-sowing-of-theirs']),
                'sowing',
            ],
            'their line in the log' => [
                'POST',
                '/api/zones/test-basin/log-entries',
                $entries(['corrects' => 'a-sowing-of-theirs']),
                'corrects',
            ],
        ];
    }

    /** @param  array<string, mixed>  $sent */
    #[DataProvider('foreignRows')]
    public function test_a_row_of_another_office_is_none_in_what_is_sent(string $method, string $address, array $sent, string $field): void
    {
        $this->zoneWithRecord();
        $me = User::query()->firstOrFail();
        $this->foundOther();
        $theirs = $this->theirs();
        $this->actingAs($me);
        $sent = json_decode(
            (string) preg_replace_callback(
                '/"\{(\w+)\}"/',
                static fn (array $m): string => (string) json_encode($theirs[$m[1]]),
                (string) json_encode($sent),
            ),
            true,
        );
        $before = $this->rowsOf();
        $answer = $this->json($method, $address, $sent);
        $told = (string) $answer->getContent();
        // A log entry has its own answer, within an answer that was fine.
        $refused = str_ends_with($address, 'log-entries')
            ? str_contains($told, 'refused')
            : in_array($answer->getStatusCode(), [404, 422], true);
        self::assertTrue($refused, "{$method} {$address}: {$answer->getStatusCode()} {$told}");
        self::assertStringContainsString(explode('.', $field)[0], $told, 'what is refused is named');
        self::assertSame($before, $this->rowsOf(), 'nothing was half-saved');
    }

    /** @return array<string, int|string> a row of the other office for each thing that can be named */
    private function theirs(): array
    {
        return OfficeInUse::within($this->other->id, function (): array {
            Crop::query()->create([
                'slug' => 'partners-own',
                'position' => 999,
                'cells' => Crop::query()->where('slug', 'radish')->firstOrFail()->cells,
            ]);
            $zone = Zone::factory()
                ->named('Partner Zone')
                ->create(['office_id' => $this->other->id]);
            $photo = str_repeat('b', 64);
            DB::table('log_photos')->insert([
                'office_id' => $this->other->id,
                'checksum' => $photo,
                'width' => 1,
                'height' => 1,
                'bytes' => 1,
            ]);
            $bed = Bed::query()->create(['zone_id' => $zone->id, 'garden' => 'School', 'name' => 'Bed 1']);
            $cue = DB::table('cue_plants')->insertGetId(['office_id' => $this->other->id, 'name' => 'Elder', 'stage' => 'first flower']);
            $site = Site::query()->firstOrFail();
            $spot = SoilSpot::query()->create(['zone_id' => $zone->id, 'name' => 'Theirs', 'site_id' => $site->id]);
            $station = Station::query()->create(['zone_id' => $zone->id, 'name' => 'Theirs', 'rank' => 1]);
            $this->actingAs($this->stranger);
            $line = [
                'key' => 'a-sowing-of-theirs',
                'act' => 'sown',
                'on' => '2012-04-12',
                'crop' => 'radish',
                'garden' => 'School',
                'bed' => 'Bed 1',
                'written_at' => 1,
            ];
            $this->postJson('/api/zones/partner-zone/log-entries', ['sent_at' => 2, 'by' => 'desk', 'entries' => [$line]])->assertOk();

            return [
                'photo' => $photo,
                'bed' => $bed->id,
                'cue' => $cue,
                'site' => $site->id,
                'spot' => $spot->id,
                'station' => $station->id,
            ];
        });
    }

    /** @return array<string, int> how many rows there are of what people make */
    private function rowsOf(): array
    {
        $tables = [
            'sites',
            'soil_spots',
            'soil_readings',
            'beds',
            'plantings',
            'log_entries',
            'sowings',
            'trials',
            'objections',
            'station_devices',
            'computations',
            'changes',
        ];

        return array_combine($tables, array_map(static fn (string $t): int => DB::table($t)->count(), $tables));
    }

    public function test_a_person_works_in_two_offices_with_a_role_in_each_and_changes_between_them(): void
    {
        $this->zoneWithRecord();
        $this->foundOther();
        $both = $this->person(Role::Volunteer)->refresh();
        $both->memberships()->create(['office_id' => $this->other->id, 'role' => Role::Administrator]);
        Zone::factory()
            ->named('Partner Zone')
            ->create(['office_id' => $this->other->id]);
        $this->actingAs($both);
        $session = $this->getJson('/api/session')->assertOk()->json('data.user');
        self::assertSame(['volunteer', 'office'], [$session['role'], $session['office']['slug']]);
        self::assertSame(
            [['office', 'volunteer'], ['partner-district', 'administrator']],
            array_map(static fn (array $o): array => [$o['slug'], $o['role']], $session['offices']),
        );
        self::assertSame(['test-basin'], array_column($this->getJson('/api/zones')->json('data'), 'slug'));
        $this->getJson('/api/people')->assertForbidden();
        // The address of a zone says which office is meant, and so which role.
        $this->editZone($this->zoneValues('Renamed'))->assertForbidden();
        $this->editZone($this->zoneValues('Partner Zone, renamed'), 'partner-zone')->assertOk();
        self::assertSame('volunteer', $this->getJson('/api/session')->json('data.user.role'), 'the desk still shows the first');

        $this->putJson('/api/session/office', ['office' => 'partner-district'])
            ->assertOk()
            ->assertJsonPath('data.user.role', 'administrator');
        self::assertSame(['partner-zone'], array_column($this->getJson('/api/zones')->json('data'), 'slug'));
        $this->getJson('/api/people')->assertOk()->assertJsonCount(2, 'data.people');
        // An office that demands a second step lets them go to another one.
        Office::query()->where('slug', 'partner-district')->update(['second_factor' => true]);
        $this->getJson('/api/people')->assertForbidden();
        $slugs = array_column($this->getJson('/api/session')->json('data.user.offices'), 'slug');
        $this->putJson('/api/session/office', ['office' => array_values(array_diff($slugs, ['partner-district']))[0]])
            ->assertOk()
            ->assertJsonPath('data.user.must_set_second_factor', false);
        $this->putJson('/api/session/office', ['office' => 'partner-district'])->assertOk();
        Office::query()->where('slug', 'partner-district')->update(['second_factor' => false]);
        $this->putJson('/api/session/office', ['office' => 'nowhere'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.office.0', 'This office is not open to you. Choose one from the list.');

        // If it is closed to them, the desk shows the one that is open.
        OfficeInUse::within(
            $this->other->id,
            static fn () => Membership::query()
                ->where('user_id', $both->id)
                ->update(['deactivated_at' => now()]),
        );
        self::assertSame('office', $this->getJson('/api/session')->json('data.user.office.slug'));
        $this->getJson('/api/zones/partner-zone')->assertNotFound();
        Membership::query()
            ->where('user_id', $both->id)
            ->update(['deactivated_at' => now()]);
        $this->getJson('/api/zones')->assertUnauthorized();
    }

    public function test_two_offices_call_things_the_same_and_change_them_each_for_itself(): void
    {
        $this->zoneWithRecord();
        $me = User::query()->firstOrFail();
        $this->foundOther();
        $this->actingAs($this->stranger);
        $made = $this->postJson('/api/zones', $this->zoneValues())->assertCreated();
        self::assertSame('test-basin-2', $made->json('data.slug'), 'addresses are told apart, names are not');
        $radish = $this->getJson('/api/crops/radish')->json('data');
        $this->patchJson('/api/crops/radish', [
            'cells' => ['maturity_days' => '44'],
            'note' => 'Slower here.',
            'version' => $radish['version'],
        ])->assertOk();
        self::assertSame(
            0,
            OfficeInUse::within(
                $me->memberships()->value('office_id'),
                static fn (): int => Change::query()->where('why', 'Slower here.')->count(),
            ),
        );
        self::assertSame(1, Change::query()->where('why', 'Slower here.')->where('office_id', $this->other->id)->count());
        $this->actingAs($me);
        self::assertSame($radish['cells']['maturity_days'], $this->getJson('/api/crops/radish')->json('data.cells.maturity_days'));
        self::assertFalse(
            Zone::query()->where('slug', 'test-basin')->firstOrFail()->isStale(),
            'an edit elsewhere puts nothing out of date',
        );
    }

    public function test_a_new_zone_begins_with_the_confidence_of_its_office(): void
    {
        $this->foundOther();
        $this->actingAs($this->stranger);
        $office = $this->getJson('/api/office')->assertOk()->json('data');
        self::assertSame('reliable', $office['standard']);
        $this->putJson('/api/office', ['standard' => 'cautious'] + $office)->assertOk();
        $this->postJson('/api/zones', $this->zoneValues())->assertCreated();
        self::assertSame('cautious', Zone::query()->sole()->standard);
        $this->actingAs($this->person());
        $this->postJson('/api/zones', $this->zoneValues('Elsewhere'))->assertCreated();
        self::assertSame('reliable', Zone::query()->where('name', 'Elsewhere')->sole()->standard);
    }

    public function test_an_office_says_in_which_languages_its_calendars_are_read_from_the_next_edition_on(): void
    {
        $this->zoneInPrint();
        $this->get('/es/zones/test-basin')->assertOk();
        $office = $this->getJson('/api/office')->assertOk()->json('data');
        self::assertSame([null, ['es']], [$office['languages'], $office['languages_there']]);
        $this->putJson('/api/office', ['languages' => ['xx']] + $office)->assertUnprocessable();
        $this->putJson('/api/office', ['name' => 'Office', 'languages' => []] + $office)->assertOk()->assertJsonPath('data.languages', []);
        self::assertSame([], $this->getJson('/api/translations')->json('data.languages'), 'nothing is left to translate into');
        $this->get('/es/zones/test-basin')->assertOk();
        $this->publish('In English alone.')->assertStatus(202);
        self::assertSame(['en'], $this->get('/zones/test-basin/calendar.json')->json('languages'));
        $page = (string) $this->get('/zones/test-basin')->assertOk()->getContent();
        self::assertStringNotContainsString('hreflang="es"', $page);
        self::assertStringContainsString('href="/en-f/zones/test-basin"', $page, 'in other units still');
        $this->get('/es/zones/test-basin')->assertRedirect('/zones/test-basin');
        $this->get('/es/zones/test-basin/editions/1')->assertOk();
        $sitemap = (string) $this->get('/sitemap.xml')->assertOk()->getContent();
        self::assertStringNotContainsString('/es/zones/', $sitemap);
        self::assertStringContainsString('hreflang="es" href="http://localhost/es"', $sitemap);
    }

    public function test_who_works_elsewhere_already_comes_in_with_the_password_they_have(): void
    {
        Mail::fake();
        $this->foundOther();
        $ours = $this->person(Role::Administrator)->refresh();
        $this->actingAs($ours)
            ->postJson('/api/invitations', ['name' => 'Whoever', 'email' => $this->stranger->email, 'role' => 'volunteer'])
            ->assertCreated();
        $secret = str_repeat('s', 48);
        DB::table('invitations')->update(['token' => hash('sha256', $secret)]);
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->getJson("/api/invited/{$secret}")
            ->assertOk()
            ->assertJsonPath('data.has_account', true);
        $this->postJson("/api/invited/{$secret}", ['name' => 'Somebody Else', 'password' => 'a password of somebody'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.password.0', 'This is not your password. Use the one you log in with.');
        $this->postJson("/api/invited/{$secret}", ['name' => 'Somebody Else', 'password' => 'a good long password'])
            ->assertCreated()
            ->assertJsonPath('data.logged_in', false);
        $this->postJson("/api/invited/{$secret}", ['name' => 'Again', 'password' => 'a good long password'])->assertUnprocessable();
        self::assertSame('Administrator', $this->stranger->refresh()->name, 'an invitation renames nobody');
        self::assertSame(
            ['administrator', 'volunteer'],
            array_map(static fn (Membership $m): string => $m->role->value, Membership::openTo($this->stranger)->get()->all()),
        );
    }

    public function test_one_office_lets_a_person_go_and_the_other_does_not_notice(): void
    {
        $this->zoneWithRecord();
        $this->foundOther();
        $leaving = $this->person(Role::Volunteer)->refresh();
        $leaving->memberships()->create(['office_id' => $this->other->id, 'role' => Role::Educator]);
        $login = Login::beginOn('x', $leaving);
        $line = [
            'key' => 'a-line-that-stays',
            'act' => 'note',
            'on' => '2012-04-12',
            'garden' => 'School',
            'bed' => 'Bed 1',
            'text' => 'x',
            'written_at' => 1,
        ];
        $this->actingAs($leaving)
            ->postJson('/api/zones/test-basin/log-entries', ['sent_at' => 2, 'by' => 'desk', 'entries' => [$line]])
            ->assertOk();
        $leaving->update(['totp_secret' => 'x', 'totp_since' => now()]);
        $this->actingAs($this->person(Role::Administrator)->refresh());
        $this->patchJson("/api/people/{$leaving->id}", ['second_factor' => false])->assertStatus(422);
        self::assertTrue($leaving->refresh()->hasSecondFactor(), 'one office does not weaken the way into another');
        $this->deleteJson("/api/people/{$leaving->id}", ['keep_name' => false])->assertNoContent();
        self::assertNull(
            DB::table('log_entries')->where('idempotency_key', 'a-line-that-stays')->value('user_id'),
            'the line stays, without the name',
        );
        self::assertNull($login->refresh()->ended_at);
        self::assertSame(
            ['educator'],
            array_map(static fn (Membership $m): string => $m->role->value, Membership::openTo($leaving->refresh())->get()->all()),
        );
        app(ChangeChain::class)->seal();
        self::assertSame([], app(ChangeChain::class)->faults());
        // The last office they work in lets them go as before.
        $this->actingAs($this->stranger)
            ->deleteJson("/api/people/{$leaving->id}", ['keep_name' => false])
            ->assertNoContent();
        self::assertNull(User::query()->find($leaving->id));
    }

    public function test_the_command_line_removes_a_person_from_all_offices_or_from_none(): void
    {
        $this->foundOther();
        $volunteer = $this->person(Role::Volunteer)->refresh();
        $volunteer->memberships()->create(['office_id' => $this->other->id, 'role' => Role::Educator]);
        $this->stranger->memberships()->create(['office_id' => Office::query()->orderBy('id')->value('id'), 'role' => Role::Volunteer]);
        $this->artisan('anthesis:remove-person', ['email' => $this->stranger->email])->assertFailed();
        self::assertSame(2, $this->stranger->memberships()->count(), 'one of the two has nobody else to look after people');
        $this->artisan('anthesis:remove-person', ['email' => $volunteer->email])->assertSuccessful();
        self::assertNull(User::query()->find($volunteer->id));
    }

    public function test_the_bench_runs_beside_several_offices_and_leaves_nothing_behind(): void
    {
        $this->foundOther();
        $count = static fn (): array => array_map(
            static fn (string $table): int => DB::table($table)->count(),
            ['offices', 'zones', 'users', 'crops', 'computations', 'results', 'changes'],
        );
        $before = $count();
        OfficeInUse::everywhere(function (): void {
            $this->artisan('anthesis:bench', ['--repeats' => 1, '--crops' => 6])
                ->expectsOutputToContain('import 30 years and compute all crops')
                ->expectsOutputToContain('compute a zone after one crop was changed')
                ->assertSuccessful();
        });
        self::assertSame($before, $count());
    }

    public function test_all_that_names_a_person_is_known_to_what_forgets_the_name(): void
    {
        $columns = array_map(
            static fn (object $c): string => "{$c->t}.{$c->c}",
            DB::select(
                "SELECT table_name AS t, column_name AS c FROM information_schema.key_column_usage WHERE table_schema = DATABASE() AND referenced_table_name = 'users'",
            ),
        );
        $known = [];
        foreach (Models::with(NamesPerson::class) as $model => $names) {
            $table = (new $model())->getTable();
            array_push($known, ...array_map(static fn (string $column): string => "{$table}.{$column}", $names->columns));
        }
        foreach (array_keys(Models::with(BelongsToPerson::class)) as $model) {
            $known[] = (new $model())->getTable().'.user_id';
        }
        // A log-in and a membership are what lets somebody in, and end by themselves.
        $known = [...$known, 'logins.user_id', 'memberships.user_id'];
        sort($columns);
        sort($known);
        self::assertSame($columns, $known);
    }

    public function test_a_token_is_good_in_the_office_it_was_made_in(): void
    {
        $this->zoneWithRecord();
        $this->foundOther();
        Zone::factory()
            ->named('Partner Zone')
            ->create(['office_id' => $this->other->id]);
        $both = $this->person()->refresh();
        $both->memberships()->create(['office_id' => $this->other->id, 'role' => Role::Educator]);
        $token = $this->actingAs($both)
            ->postJson('/api/profile/tokens', ['name' => 'x', 'scopes' => ['read-zones'], 'days' => 30])
            ->assertCreated()
            ->json('data.token');
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $as = ['Authorization' => "Bearer {$token}"];
        self::assertSame(['test-basin'], array_column($this->getJson('/api/programs/zones', $as)->assertOk()->json('data'), 'slug'));
        $this->getJson('/api/programs/zones/partner-zone', $as)->assertNotFound();
        Membership::query()
            ->where('user_id', $both->id)
            ->where('office_id', '!=', $this->other->id)
            ->update(['deactivated_at' => now()]);
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/programs/zones', $as)->assertForbidden();
    }

    public function test_the_office_of_a_change_is_sealed_with_it(): void
    {
        $this->foundOther();
        app(ChangeChain::class)->seal();
        self::assertSame([], app(ChangeChain::class)->faults());
        $row = (array) DB::table('changes')->where('office_id', $this->other->id)->first();
        $id = $row['id'];
        DB::table('changes')->where('id', $id)->delete();
        DB::table('changes')->insert(['office_id' => Office::query()->orderBy('id')->value('id')] + $row);
        self::assertSame(
            ["Change {$id} was altered, or one before it was removed from the chain."],
            app(ChangeChain::class)->faults(),
        );
    }

    public function test_published_calendars_are_everybodys_and_say_whose_they_are(): void
    {
        $this->zoneInPrint();
        self::assertStringNotContainsString(
            '<span class="office-line',
            (string) $this->get('/zones/test-basin')->getContent(),
            'one office need not say so',
        );
        $this->get('/open/v1/index.json')->assertOk()->assertJsonCount(1, 'offices');
        $this->putJson(
            '/api/office',
            ['name' => 'Kestrel Basin Extension', 'mark' => 'plum'] + $this->getJson('/api/office')->json('data'),
        )->assertOk();
        $this->foundOther();
        $this->publish('Now there are two offices.')->assertStatus(202);
        $page = (string) $this->get('/zones/test-basin')->assertOk()->getContent();
        self::assertStringContainsString(
            '<span class="office-line mark-plum"><a href="/offices/kestrel-basin-extension">Kestrel Basin Extension</a></span>',
            $page,
        );
        self::assertSame(
            ['mark' => 'plum', 'slug' => 'kestrel-basin-extension', 'name' => 'Kestrel Basin Extension'],
            $this->get('/zones/test-basin/calendar.json')->json('office'),
        );
        $front = (string) $this->get('/offices/kestrel-basin-extension')->assertOk()->getContent();
        self::assertStringContainsString('Kestrel Basin Extension', $front);
        self::assertStringContainsString('/zones/test-basin/this-week', $front);
        self::assertStringNotContainsString(
            '/zones/test-basin/this-week',
            (string) $this->get('/offices/partner-district')->assertOk()->getContent(),
        );
        $this->get('/offices/nowhere')->assertNotFound();
        $this->get('/open/v1/offices/kestrel-basin-extension/index.json')
            ->assertOk()
            ->assertJsonPath('office', 'Kestrel Basin Extension')
            ->assertJsonCount(1, 'zones');
        $this->get('/open/v1/offices/partner-district/index.json')->assertOk()->assertJsonCount(0, 'zones');
        self::assertSame('kestrel-basin-extension', $this->get('/open/v1/zones.json')->json('data.0.office'));
    }
}
