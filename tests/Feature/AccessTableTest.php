<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\FoundOffice;
use App\People\Invitation;
use App\People\Role;
use App\People\User;
use App\Stations\SaveDevice;
use App\Stations\Station;
use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Tests\Populated;
use Tests\TestCase;

/**
 * Which role gets through to which address, asked of every address there is, and held against docs/access.md. With ACCESS_TABLE=write in
 * the environment the file is written again: look at what changed in it.
 */
final class AccessTableTest extends TestCase
{
    use Populated;

    private const FILE = 'docs/access.md';

    /** What is asked of nobody in particular. */
    private const OPEN = '#^api/(session|invited/|password-links|new-password|new-address/|station-reports|programs/)#';

    private const HEAD = <<<'MD'
    # Who may do what

    Each row is an address at the desk and the roles that may use it. `–` means refused with 403 (and 401 for anyone not logged in).
    The last column is an administrator of another office who asks for this office's rows: with `404`, the row does not exist for them;
    with `own`, the address names no row of an office, and they get what belongs to their own office (`OfficesTest` checks the answers).
    `AccessTableTest` requests every address as every role and compares the answers with this table, so a new route, or one that forgets to
    check, breaks the build. What a person made themselves (plans, tokens, log-ins) is theirs alone, whatever their role. Programs use a
    token, which only opens the addresses in `routes/programs.php` (`TokenTest`).

    | address | volunteer | reviewer | educator | administrator | another office |
    |---|---|---|---|---|---|

    MD;

    public function test_every_address_lets_those_in_whom_the_table_says(): void
    {
        $this->populate();
        Queue::fake();
        Mail::fake();
        $known = $this->known();
        $people = array_map(fn (Role $role): User => $this->person($role)->refresh(), $roles = [
            Role::Volunteer,
            Role::Reviewer,
            Role::Educator,
            Role::Administrator,
        ]);
        $stranger = User::factory()->as(Role::Administrator)->in(app(FoundOffice::class)->execute('Partner District'))->create()->refresh();
        $rows = [];
        foreach (self::routes() as [$method, $uri]) {
            $address = '/'.preg_replace_callback('/\{(\w+)\??\}/', static fn (array $m): string => (string) ($known[$m[1]] ?? 1), $uri);
            $this->assertRefusesStrangers($method, $address);
            $marks = [];
            foreach ($people as $i => $person) {
                $marks[] = $this->letsIn($method, $address, $roles[$i], fn () => $this->actingAs($person)) ? 'yes' : '–';
            }
            $marks[] = $this->toStranger($method, $address, $stranger);
            $rows[] = "| `{$method} /{$uri}` | ".implode(' | ', $marks).' |';
        }
        sort($rows);
        $table = self::HEAD.implode("\n", $rows)."\n";
        if (getenv('ACCESS_TABLE') === 'write') {
            file_put_contents(base_path(self::FILE), $table);
        }
        self::assertSame($table, (string) file_get_contents(base_path(self::FILE)));
    }

    private function assertRefusesStrangers(string $method, string $address): void
    {
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $asks = str_starts_with($address, '/desk-files') ? 302 : 401;
        self::assertSame($asks, $this->ask($method, $address), "{$method} {$address} asks nobody who they are");
    }

    /** @return int status of the answer; files are asked for as a browser does */
    private function ask(string $method, string $address): int
    {
        $answer = str_starts_with($address, '/desk-files') ? $this->get($address) : $this->json($method, $address);

        return $answer->getStatusCode();
    }

    /** Whether a request of a role reaches what it is for. */
    private function letsIn(string $method, string $address, Role $role, callable $as): bool
    {
        $status = $this->tried($method, $address, $as);
        self::assertNotContains($status, [401, 429, 500], "{$method} {$address} as {$role->value}");

        return $status !== 403;
    }

    /** @return int status of the answer; what was done is undone, but what was computed to be read is kept for the next who asks */
    private function tried(string $method, string $address, callable $as): int
    {
        $isUndone = $method !== 'GET';
        if ($isUndone) {
            DB::beginTransaction();
        }
        try {
            // What the last one was known by is undone with what they did.
            $this->flushSession();
            $as();

            return $this->ask($method, $address);
        } finally {
            if ($isUndone) {
                DB::rollBack();
            }
        }
    }

    /** What an address is to an administrator of another office: nothing, or their own. */
    private function toStranger(string $method, string $address, User $stranger): string
    {
        $status = $this->tried($method, $address, fn () => $this->actingAs($stranger));
        self::assertNotContains($status, [401, 403, 429, 500], "{$method} {$address} as an administrator of another office");

        return $status === 404 ? '404' : 'own';
    }

    /** @return list<array{string, string}> method and address of what is asked of people who are logged in */
    private static function routes(): array
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            /** @var LaravelRoute $route */
            $isDesk = preg_match('#^(api/|desk-files/)#', $route->uri()) === 1 && preg_match(self::OPEN, $route->uri()) !== 1;
            if ($isDesk) {
                $routes[] = [$route->methods()[0], $route->uri()];
            }
        }
        $routes[] = ['DELETE', 'api/session'];

        return $routes;
    }

    /** @return array<string, int|string> a row that is there for each thing an address can name */
    private function known(): array
    {
        [$device] = app(SaveDevice::class)->add(Station::query()->firstOrFail(), 'Mast');
        $invitation = Invitation::query()->create([
            'name' => 'x',
            'email' => 'x@kestrel.example',
            'role' => Role::Volunteer,
            'token' => hash('sha256', 'x'),
            'expires_at' => now()->addDay(),
        ]);
        $this->postJson(
            '/api/zones/test-basin/objections',
            ['key' => 'an-objection', 'crop' => 'kale', 'text' => 'Late.'],
        )->assertCreated();
        $this->postJson('/api/zones/test-basin/advisories', [
            'key' => 'an-advisory-1',
            'text' => 'Cover tender plants.',
            'ground' => null,
            'until' => '2026-05-14',
        ])->assertCreated();
        $this->postJson('/api/zones/test-basin/quality', [
            'date' => '2000-01-05',
            'element' => 'minimum',
            'accepted' => false,
            'note' => 'Read wrong.',
            'replaces' => null,
        ])->assertStatus(202);
        $this->patchJson('/api/crops/radish', ['cells' => ['maturity_days' => '40'], 'note' => 'Slower here.', 'version' => 1])->assertOk();
        $first = static fn (string $table): int => (int) DB::table($table)->value('id');

        return [
            'zone' => 'test-basin',
            'crop' => 'radish',
            'number' => 1,
            'year' => 2005,
            'slug' => 'radish',
            'photo' => str_repeat('a', 64),
            'person' => $this->person(Role::Volunteer)->id,
            'invitation' => $invitation->id,
            'device' => $device->id,
            'upload' => 'an-upload-1',
            'import' => $first('record_imports'),
            'computation' => $first('computations'),
            'publication' => $first('publications'),
            'site' => (int) DB::table('sites')->max('id'),
            'decision' => $first('quality_decisions'),
            'revision' => $first('crop_revisions'),
            'choice' => $first('crop_choices'),
            'variety' => $first('varieties'),
            'spot' => $first('soil_spots'),
            'reading' => $first('soil_readings'),
            'trial' => $first('trials'),
            'cue' => $first('cue_plants'),
            'bed' => $first('beds'),
            'advisory' => $first('advisories'),
            'objection' => $first('objections'),
        ];
    }
}
