<?php

declare(strict_types=1);

namespace Tests\Contract;

use App\Ground\Planting;
use App\Log\LogImport;
use App\People\Login;
use App\People\Role;
use App\People\Totp;
use App\People\User;
use App\Stations\RecordImport;
use App\TrackRecord\KeepMorningsJob;
use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\AssertionFailedError;
use Tests\TestCase;

final class ContractTest extends TestCase
{
    /** Operations whose answer has no content to validate against the contract. */
    private const WITHOUT_CONTENT = [
        'DELETE /api/session',
        'DELETE /api/sites/{site}',
        'POST /api/password-links',
        'DELETE /api/people/{person}',
        'DELETE /api/invitations/{invitation}',
    ];

    protected ?array $book = null;

    public function test_every_route_that_answers_in_json_is_in_the_contract_and_the_other_way_round(): void
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            /** @var LaravelRoute $route */
            $tables = str_contains($route->uri(), 'open/') ? explode('|', $route->wheres['table'] ?? '') : [''];
            if (preg_match('#^(api/|up$|open/.*\.json$|open/.*format|zones/.*calendar\.\{format\})#', $route->uri()) === 1) {
                foreach ($tables as $table) {
                    $routes[] = $route->methods()[0].' /'.str_replace(['{format}', '{table}'], ['json', $table], $route->uri());
                }
            }
        }
        $operations = Contract::read()->operations();
        sort($routes);
        sort($operations);
        self::assertSame($operations, $routes);
    }

    public function test_one_walk_through_every_operation_fits_the_contract(): void
    {
        $this->getJson('/up')->assertOk();
        $this->getJson('/api/session')->assertOk();
        $this->getJson('/api/zones')->assertUnauthorized();
        $educator = $this->person();
        $this->postJson('/api/session', ['email' => $educator->email, 'password' => 'a good long password'])
            ->assertOk()
            ->assertJsonPath('data.user.role', 'educator')
            ->assertJsonPath('data.today', '2026-05-12');
        $this->people($educator);
        $this->putJson('/api/demo-clock', ['today' => '2026-05-13'])->assertNotFound();
        $this->postJson('/api/zones', $this->zoneValues())->assertCreated();
        $this->patchJson('/api/zones/test-basin', ['version' => 1] + $this->zoneValues('Renamed Basin'))
            ->assertOk()
            ->assertJsonPath('data.slug', 'test-basin');
        $this->post(
            '/api/zones/test-basin/record-previews',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertOk();
        $computation = $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )
            ->assertStatus(202)
            ->json('data.id');
        $this->getJson("/api/computations/{$computation}")
            ->assertOk()
            ->assertJsonPath('data.state', 'done');
        $this->getJson('/api/zones/test-basin/record-imports')->assertOk()->assertJsonPath('data.0.in_use', true);
        $this->postJson('/api/record-imports/'.RecordImport::query()->value('id').'/use')->assertStatus(202);
        $this->postJson('/api/zones/test-basin/computations')->assertStatus(202);
        $this->postJson('/api/zones/test-basin/quality', [
            'date' => '2000-01-05',
            'element' => 'minimum',
            'accepted' => false,
            'note' => 'Read wrong.',
            'replaces' => null,
        ])->assertStatus(202);
        $decision = $this->getJson('/api/zones/test-basin/quality')->assertOk()->json('data.values.0.decision.id');
        $this->deleteJson("/api/zones/test-basin/quality/{$decision}")->assertStatus(202);
        $station = $this->getJson('/api/zones/test-basin/stations')->assertOk()->json('data.stations.0');
        $this->putJson('/api/zones/test-basin/stations', ['version' => 2, 'stations' => [['height_m' => 400] + $station]])->assertStatus(
            202,
        );
        $this->putJson('/api/zones/test-basin/years', ['version' => 3, 'years' => 15])->assertStatus(202);
        $site = $this->postJson('/api/sites', [
            'name' => 'roof',
            'air' => 1,
            'sun' => 3,
            'rate' => 1,
            'protection' => 0,
            'offset' => 0,
            'note' => null,
        ])
            ->assertCreated()
            ->json('data');
        $this->getJson('/api/sites')->assertOk()->assertJsonPath('data.0.name', 'open ground');
        $this->patchJson("/api/sites/{$site['id']}", ['sun' => 4] + $site)->assertOk();
        $this->post(
            '/api/zones/test-basin/calibrations',
            ['site' => $site['id'], 'file' => $this->textFile("timestamp,depth_cm,temp_c\n2005-04-12 09:00,5,8\n")],
            ['Accept' => 'application/json'],
        )->assertOk();
        $this->deleteJson("/api/sites/{$site['id']}")->assertNoContent();
        $this->getJson('/api/zones/test-basin/climate/years/2005')->assertOk();
        $this->getJson('/api/zones/test-basin/rain')->assertOk();
        $this->getJson('/api/zones/test-basin/workable')->assertOk();
        $this->getJson('/api/zones/test-basin/water-due')->assertOk();
        $this->getJson('/api/zones/test-basin/still-fits')->assertOk();
        $this->getJson('/api/zones/test-basin/track-record')->assertOk();
        $this->getJson('/api/zones/test-basin/track-record/turned')->assertOk();
        $this->getJson('/api/zones/test-basin/track-record/season')->assertOk();
        Queue::fake([KeepMorningsJob::class]);
        $this->postJson('/api/zones/test-basin/track-record/season')->assertStatus(202);
        $this->getJson('/api/zones/test-basin/windows/kale/spares?on=04-01&route=direct')->assertOk();
        $this->getJson('/api/zones/test-basin/windows/kale/sensitivity?route=direct')->assertOk();
        $this->getJson('/api/zones/test-basin/windows/radish/water?on=04-20')->assertOk();
        $this->getJson('/api/zones/test-basin/climate')->assertOk()->assertJsonPath('data.climate.thresholds.1.seasons.0.season', 2000);
        $this->getJson('/api/zone-comparison')->assertOk()->assertJsonPath('data.rows.0.zone', 'test-basin');
        $this->getJson('/api/zones/test-basin/windows')->assertOk();
        $this->getJson('/api/zones/test-basin/windows/radish')->assertOk();
        $this->getJson('/api/zones/test-basin/windows/radish/runs?route=direct')->assertOk();
        $this->getJson('/api/zones/test-basin/windows/radish/packet-days?on=09-20')->assertOk();
        $this->getJson('/api/zones/test-basin/windows/radish/succession?on=04-01&amount=1')->assertOk();
        $this->getJson('/api/zones/test-basin/windows/radish/compared')->assertOk();
        $choice = $this->postJson('/api/zones/test-basin/windows/radish/choices', [
            'school' => 'own',
            'reason' => 'Known here.',
            'replaces' => null,
            'windows' => [['route' => 'direct', 'first' => '03-20', 'last' => '05-01']],
        ])
            ->assertCreated()
            ->json('data.choice.id');
        $this->deleteJson("/api/zones/test-basin/choices/{$choice}")->assertOk();
        $this->putJson('/api/zones/test-basin/method', ['standard' => 'bold', 'light' => 'none', 'version' => 4])->assertStatus(202);
        $this->deleteJson("/api/computations/{$computation}")
            ->assertOk()
            ->assertJsonPath('data.state', 'done');
        $this->getJson('/api/zones/test-basin/method-changes')->assertOk();
        $this->postJson('/api/station-reports')->assertUnauthorized();
        $this->getJson('/api/zones/test-basin/today')->assertNotFound();
        $this->getJson('/api/zones/test-basin/soil')->assertOk()->assertJsonPath('data.probe', null);
        $spot = $this->postJson('/api/zones/test-basin/soil-spots', ['name' => 'Bed 3', 'site' => 1])
            ->assertCreated()
            ->json('data.spots.0.id');
        $figures = [[0, 20], [10, 13.9], [20, 11.5], [30, 10.4], [60, 9.5]];
        $this->postJson('/api/zones/test-basin/soil-fits', ['figures' => $figures])->assertOk();
        $reading = $this->postJson('/api/zones/test-basin/soil-readings', [
            'key' => 'contract-walk',
            'spot' => $spot,
            'on' => '2012-04-12',
            'hour' => 9.5,
            'depth' => 0.05,
            'figures' => $figures,
        ])
            ->assertCreated()
            ->json('data.spots.0.readings.0.id');
        $this->getJson("/api/soil-spots/{$spot}/calibration")->assertOk();
        $this->getJson("/api/soil-spots/{$spot}/probe?seconds=10")->assertNotFound();
        $this->deleteJson("/api/soil-readings/{$reading}")
            ->assertOk()
            ->assertJsonPath('data.spots.0.readings.0.withdrawn', true);
        $advisory = $this->postJson('/api/zones/test-basin/advisories', [
            'key' => 'contract-walk',
            'ground' => null,
            'text' => 'Water in the morning.',
            'until' => '2026-05-20',
        ])
            ->assertCreated()
            ->json('data.id');
        $this->getJson('/api/zones/test-basin/advisories')->assertOk()->assertJsonPath('data.0.in_force', true);
        $this->postJson("/api/advisories/{$advisory}/withdrawal", ['reason' => 'It rained.'])->assertOk();
        $this->deleteJson("/api/advisories/{$advisory}/withdrawal")->assertOk();
        $this->getJson('/api/zones/test-basin/reported-corrections')->assertOk();
        $this->postJson('/api/zones/test-basin/reported-corrections', ['ids' => [1], 'use' => false])->assertStatus(202);
        $device = $this->postJson('/api/zones/test-basin/station-devices', ['station' => $station['id'], 'name' => 'Mast'])
            ->assertCreated()
            ->json('data.device.id');
        $this->getJson('/api/zones/test-basin/station-devices')->assertOk()->assertJsonPath('data.0.name', 'Mast');
        $this->deleteJson("/api/station-devices/{$device}")
            ->assertOk()
            ->assertJsonPath('data', []);
        $this->postJson("/api/station-devices/{$device}/restoration")->assertOk();
        $this->putJson('/api/packets/radish', ['has' => true])->assertOk();
        $this->getJson('/api/packets')
            ->assertOk()
            ->assertJsonPath('data', ['radish']);
        $line = [
            'key' => 'contract-sowing',
            'act' => 'sown',
            'on' => '2012-04-12',
            'crop' => 'radish',
            'garden' => 'School',
            'bed' => 'Bed 3',
            'written_at' => 1,
            'under_cover' => true,
        ];
        $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => 2,
            'by' => 'desk',
            'entries' => [$line, ['key' => 'contract-wrong', 'act' => 'up', 'on' => '2012-04-12', 'written_at' => 1]],
        ])
            ->assertOk()
            ->assertJsonPath('data.refused.0.field', 'sowing');
        $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => 2,
            'by' => 'desk',
            'entries' => [
                ['key' => 'contract-better', 'corrects' => 'contract-sowing'] + $line,
                [
                    'key' => 'contract-picking',
                    'act' => 'first-picked',
                    'on' => '2012-06-12',
                    'written_at' => 1,
                    'sowing' => 'contract-sowing',
                    'kilograms' => 1,
                ],
            ],
        ])
            ->assertOk()
            ->assertJsonPath('data.refused', []);
        $this->getJson('/api/zones/test-basin/log')->assertOk()->assertJsonPath('data.lines.1.corrects.key', 'contract-sowing');
        $this->getJson('/api/zones/test-basin/log-book')->assertOk();
        $this->post(
            '/api/zones/test-basin/log-files',
            ['file' => $this->textFile("on,act,crop\n2011-04-12,sown,radish\n2011-06-01,first-picked,radish\n", 'log.csv')],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->getJson('/api/log-imports/'.LogImport::query()->value('id'))
            ->assertOk()
            ->assertJsonPath('data.saved', 2);
        $this->post(
            '/api/log-photos',
            ['photo' => $this->textFile('no picture', 'bed.jpg')],
            ['Accept' => 'application/json'],
        )->assertUnprocessable();
        $this->getJson('/api/zones/test-basin/under-way')->assertOk();
        $this->getJson('/api/zones/test-basin/local-days')->assertOk()->assertJsonPath('data.crops.0.crop', 'radish');
        $held = $this->postJson('/api/zones/test-basin/local-days', [
            'crop' => 'radish',
            'variety' => null,
            'route' => 'direct',
            'replaces' => null,
        ])
            ->assertCreated()
            ->json('data.crops.0.held.id');
        $this->deleteJson("/api/zones/test-basin/local-days/{$held}")->assertOk();
        $trial = $this->postJson('/api/zones/test-basin/trials', [
            'key' => 'contract-trial',
            'crop' => 'radish',
            'route' => 'direct',
            'measured_in' => 'kilograms',
            'question' => 'Early?',
            'waves' => [['name' => 'early', 'on' => '2012-04-01']],
            'varieties' => [null],
            'repeats' => 3,
        ])
            ->assertCreated()
            ->json('data.id');
        $this->getJson('/api/zones/test-basin/trials')->assertOk();
        $this->postJson("/api/trials/{$trial}/conclusion", ['conclusion' => 'No.'])->assertOk();
        $this->deleteJson("/api/trials/{$trial}/conclusion")->assertOk();
        $cue = $this->postJson('/api/zones/test-basin/cues', ['plant' => 'Lilac', 'stage' => 'first leaf'])
            ->assertCreated()
            ->json('data.0.id');
        $this->getJson('/api/zones/test-basin/cues')->assertOk();
        $this->deleteJson("/api/zones/test-basin/cues/{$cue}")->assertOk();
        $bed = $this->postJson('/api/zones/test-basin/beds', ['garden' => 'School', 'name' => 'Bed 4', 'length_m' => 6])
            ->assertCreated()
            ->json('data.beds.1.id');
        $this->putJson("/api/zones/test-basin/beds/{$bed}", [
            'garden' => 'School',
            'name' => 'Bed 4',
            'length_m' => 7,
            'version' => 1,
        ])->assertOk();
        $this->putJson('/api/zones/test-basin/plantings?from=2012-01-01&to=2012-12-31', [
            'add' => [
                ['key' => 'contract-planting', 'crop' => 'radish', 'route' => 'direct', 'bed' => $bed, 'on' => '2012-05-10', 'metres' => 6],
                ['key' => 'contract-conflict', 'crop' => 'kale', 'route' => 'direct', 'bed' => $bed, 'on' => '2012-05-20', 'metres' => 6],
            ],
        ])->assertOk();
        $this->getJson('/api/zones/test-basin/ground?from=2012-01-01&to=2012-12-31')
            ->assertOk()
            ->assertJsonPath('data.beds.1.conflicts.0.kind', 'double');
        $this->getJson("/api/zones/test-basin/beds/{$bed}/fits?from=2013-04-01&to=2013-10-01")->assertOk();
        $this->putJson('/api/zones/test-basin/plantings?from=2026-01-01&to=2026-12-31', [
            'add' => [
                ['key' => 'contract-first', 'crop' => 'kale', 'route' => 'direct', 'bed' => $bed, 'on' => '2026-03-05', 'metres' => 6],
            ],
        ])->assertOk();
        $first = Planting::query()->where('idempotency_key', 'contract-first')->value('id');
        $this->getJson("/api/zones/test-basin/beds/{$bed}/between?stay=planting+{$first}")->assertOk();
        $this->putJson('/api/zones/test-basin/harvest-plan', ['needs' => [['crop' => 'kale', 'amount' => 2]], 'version' => 1])->assertOk();
        $this->getJson('/api/zones/test-basin/harvest-plan')->assertOk()->assertJsonPath('data.needs.0.crop', 'kale');
        $this->getJson("/api/zones/test-basin/plantings/{$first}/spares")
            ->assertOk()
            ->assertJsonPath('data.ready', fn (?string $ready): bool => $ready !== null);
        $this->postJson('/api/zones/test-basin/season-plans?from=2013-01-01&to=2013-12-31', [
            'beds' => [$bed],
            'wishes' => [['key' => 'a', 'crop' => 'radish', 'metres' => 2]],
        ])->assertOk();
        $this->postJson('/api/zones/test-basin/task-feeds')->assertCreated();
        $this->getJson('/api/zones/test-basin/ground-tasks?from=2012-01-01&to=2012-12-31')->assertOk();
        $this->putJson('/api/prices/radish', ['price' => 4.5])->assertOk();
        $this->getJson('/api/zones/test-basin/worth')->assertOk()->assertJsonPath('data.0.price', 4.5);
        $this->getJson('/api/shipped-crops')->assertOk();
        $this->postJson('/api/shipped-crops/radish', ['take' => true])->assertNotFound();
        $this->getJson('/api/crops')->assertOk();
        $this->getJson('/api/crop-columns')->assertOk();
        $this->postJson('/api/crops/radish/trials', ['zone' => 'test-basin', 'cells' => ['maturity_days' => '40']])->assertOk();
        $this->patchJson('/api/crops/radish', ['cells' => ['maturity_days' => '40'], 'note' => 'Slower here.', 'version' => 1])->assertOk();
        $revision = $this->getJson('/api/crops/radish')->assertOk()->json('data.revisions.0.id');
        $this->postJson("/api/crops/radish/revisions/{$revision}", ['version' => 2])->assertOk();
        $variety = $this->postJson('/api/crops/radish/varieties', [
            'name' => 'Harrow Red',
            'cells' => ['maturity_days' => '22'],
            'tags' => ['quick'],
        ])
            ->assertCreated()
            ->json('data.varieties.0.id');
        $this->putJson("/api/crops/radish/varieties/{$variety}", [
            'name' => 'Harrow Red',
            'cells' => ['maturity_days' => '23'],
            'tags' => [],
            'version' => 1,
        ])->assertOk();
        $this->deleteJson("/api/crops/radish/varieties/{$variety}")->assertOk();
        $this->post(
            '/api/crops',
            ['file' => $this->textFile((string) file_get_contents(base_path('core/data/crops.csv')), 'crops.csv')],
            ['Accept' => 'application/json'],
        )
            ->assertOk()
            ->assertJsonPath('data.unchanged', 113);
        $warnings = $this->getJson('/api/zones/test-basin/draft')->assertOk()->assertJsonPath('data.number', 1)->json('data.warnings');
        $objection = $this->postJson('/api/zones/test-basin/objections', [
            'key' => 'contract-walk',
            'crop' => 'radish',
            'text' => 'Too early.',
        ])
            ->assertCreated()
            ->json('data.id');
        $this->postJson("/api/objections/{$objection}/answer", ['answer' => 'It is on record.'])->assertOk();
        $publication = $this->postJson('/api/zones/test-basin/editions', [
            'note' => 'The first.',
            'key' => 'contract-walk',
            'answers' => array_fill_keys(array_column($warnings, 'key'), 'Known.'),
        ])
            ->assertStatus(202)
            ->json('data.id');
        $this->getJson("/api/publications/{$publication}")
            ->assertOk()
            ->assertJsonPath('data.state', 'done');
        $this->getJson('/api/zones/test-basin/editions')->assertOk();
        $this->getJson('/api/zones')->assertOk()->assertJsonPath('data.0.edition.number', 1);
        $this->getJson('/api/zones/test-basin')->assertOk();
        $this->getJson('/zones/test-basin/calendar.json')->assertOk();
        $this->getJson('/zones/test-basin/editions/1/calendar.json')->assertOk();
        foreach (
            [
                'index',
                'zones',
                'editions',
                'dictionary',
                'zones/test-basin/windows',
                'zones/test-basin/evidence',
                'zones/test-basin/normals',
                'zones/test-basin/method',
                'zones/test-basin/verification',
            ] as $table
        ) {
            $this->getJson("/open/v1/{$table}.json")->assertOk();
        }
        $this->getJson('/api/translations')->assertOk();
        $this->putJson('/api/translations', [
            'language' => 'es',
            'text' => 'The first.',
            'translation' => 'La primera.',
            'before' => null,
        ])->assertOk();
        $office = $this->getJson('/api/office')->assertOk()->json('data');
        $this->putJson('/api/office', ['name' => 'Office'] + $office)->assertOk();
        $office = $this->getJson('/api/office')->json('data');
        $this->putJson('/api/session/office', ['office' => $office['slug']])->assertOk();
        $this->getJson("/open/v1/offices/{$office['slug']}/index.json")->assertOk();
        $this->getJson('/api/outbox')->assertOk();
        $this->putJson('/api/profile', ['units' => 'us', 'dates' => null, 'home_zone' => 'test-basin'])->assertOk();
        $this->getJson('/api/attention')->assertOk();
        $this->getJson('/api/attention?zone=test-basin')->assertOk();
        $this->getJson('/api/zone-boundaries')->assertOk()->assertJsonPath('data.0.rings', []);
        $nothing = ['file' => $this->textFile('{}'), 'key' => 'a-walk-1'];
        $this->post('/api/zone-boundaries', $nothing, ['Accept' => 'application/json'])->assertUnprocessable();
        $this->deleteJson('/api/zone-boundaries/a-walk-1')->assertNotFound();
        $this->postJson('/api/zones/test-basin/editions/1/signature')->assertUnprocessable();
        $this->postJson('/api/zones/test-basin/editions/1/withdrawal', ['reason' => 'A walk.'])->assertOk();
        $this->deleteJson('/api/session')->assertNoContent();
        $seen = [...array_keys(Contract::read()->seen), ...self::WITHOUT_CONTENT];
        self::assertSame([], array_values(array_diff(Contract::read()->operations(), $seen)));
    }

    public function test_the_contract_notices_a_response_that_breaks_it(): void
    {
        $this->expectException(AssertionFailedError::class);
        $this->expectExceptionMessage('breaks the contract');
        $told = '{"data":{"user":null,"demonstration":null,"waits_for_code":false,"today":"yesterday"}}';
        Contract::read()->assertFits('GET', '/api/session', 200, $told);
    }

    public function test_roles_are_those_of_the_contract(): void
    {
        $roles = Contract::read()->document['components']['schemas']['Role']['enum'];
        self::assertEqualsCanonicalizing(array_column(Role::cases(), 'value'), $roles);
    }

    /** Everything about people, their accounts, and the links in their e-mails. */
    private function people(User $educator): void
    {
        $this->getJson('/api/changes')->assertOk();
        $this->getJson('/api/people')->assertForbidden();
        $this->getJson('/api/profile/account')->assertOk();
        $this->putJson('/api/profile/name', ['name' => 'Wren'])->assertOk();
        $this->putJson('/api/profile/email', ['email' => 'w@kestrel.example', 'current_password' => 'a good long password'])->assertOk();
        $this->putJson('/api/profile/password', ['password' => 'another good password', 'current_password' => 'x'])->assertUnprocessable();
        $secret = $this->postJson('/api/profile/second-factor')->assertCreated()->json('data.secret');
        $this->putJson('/api/profile/second-factor', ['code' => Totp::code($secret, intdiv(now()->getTimestamp(), 30))])->assertOk();
        $this->deleteJson('/api/profile/second-factor', ['current_password' => 'a good long password'])->assertOk();
        $this->postJson('/api/profile/tokens', ['name' => 'x', 'scopes' => ['read-zones'], 'days' => 30])->assertCreated();
        $this->getJson('/api/profile/tokens')->assertOk();
        $token = $educator->tokens()->value('id');
        $this->deleteJson("/api/profile/tokens/{$token}")->assertOk();
        $this->postJson("/api/profile/tokens/{$token}/restoration")->assertOk();
        // TokenTest goes through these with a token.
        foreach (['', '/test-basin', '/test-basin/today', '/test-basin/windows', '/test-basin/windows/kale'] as $path) {
            $this->getJson("/api/programs/zones{$path}")->assertUnauthorized();
        }
        foreach (['log-entries', 'soil-readings'] as $path) {
            $this->postJson("/api/programs/zones/test-basin/{$path}")->assertUnauthorized();
        }
        $elsewhere = Login::beginOn('', $educator);
        $this->deleteJson("/api/profile/logins/{$elsewhere->id}")->assertOk();
        $this->postJson('/api/session/code', ['code' => '123456'])->assertUnprocessable();
        $none = str_repeat('x', 48);
        $this->postJson("/api/new-address/{$none}")->assertUnprocessable();
        $this->getJson("/api/invited/{$none}")->assertNotFound();
        $this->postJson("/api/invited/{$none}", ['name' => 'x', 'password' => 'another good password'])->assertUnprocessable();
        $this->postJson('/api/password-links', ['email' => 'nobody@kestrel.example'])->assertStatus(202);
        $this->postJson('/api/new-password', [
            'email' => 'x@kestrel.example',
            'token' => 'x',
            'password' => 'another good password',
        ])->assertUnprocessable();
        $this->actingAs($this->person(Role::Administrator));
        $made = $this->postJson('/api/invitations', ['name' => 'N', 'email' => 'n@kestrel.example', 'role' => 'reviewer'])
            ->assertCreated()
            ->json('data.id');
        $this->getJson('/api/people')->assertOk();
        $this->deleteJson("/api/invitations/{$made}")->assertNoContent();
        $leaving = $this->person(Role::Volunteer);
        $this->patchJson("/api/people/{$leaving->id}", ['role' => 'reviewer', 'active' => false])->assertOk();
        $this->deleteJson("/api/people/{$leaving->id}", ['keep_name' => false])->assertNoContent();
        $this->actingAs($educator->refresh());
    }
}
