<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\People\User;
use App\Zones\Zone;
use Database\Seeders\DatabaseSeeder;
use Database\Seeders\DemoSeeder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use RuntimeException;
use Tests\TestCase;

/** What comes in: addresses, fields, places, short records, files of two places, people. */
final class DoorTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function addresses(): iterable
    {
        yield 'a list where a word is due' => ['/?place[]=x', 400];
        yield 'no UTF-8 in the question' => ['/?place=%ff', 400];
        yield 'no UTF-8 in the address' => ['/zones/%ff', 400];
        yield 'a control character' => ['/zones/a%00b', 400];
        yield 'a direction mark' => ['/?place=%e2%80%aeabc', 400];
        yield 'a week beyond all numbers' => ['/zones/test-basin/weeks/99999999999999999999', 404];
        yield 'an edition beyond all numbers' => ['/zones/test-basin/editions/99999999999999999999', 404];
    }

    #[DataProvider('addresses')]
    public function test_an_address_that_cannot_be_is_a_page_that_says_so(string $address, int $status): void
    {
        Zone::factory()->create();
        $html = (string) $this->get($address)->assertStatus($status)->getContent();
        self::assertMatchesRegularExpression('/<p>\s*\S.*\s\S/', $html);
    }

    public function test_what_no_field_can_hold_is_refused_with_its_name(): void
    {
        $this->actingAs($this->person());
        foreach (["Bell\u{7}", "Turned\u{202E}", "Null\u{0}"] as $name) {
            $words = $this->postJson('/api/zones', $this->zoneValues($name))->assertUnprocessable()->json('errors.name.0');
            self::assertStringStartsWith('The field “name” holds a character that cannot be seen', $words);
        }
        $call = fn (string $json) => $this->call(
            'POST',
            '/api/zones',
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $json,
        );
        self::assertStringStartsWith('The request is not JSON that can be read', $call('{"name": ')->assertStatus(400)->json('message'));
        $call('"x"')->assertStatus(400);
        $call("{\"name\": \"\xff\"}")->assertStatus(400);
        $call('{"latitude": 1e400}')
            ->assertUnprocessable()
            ->assertJsonPath('errors.latitude.0', 'The field “latitude” is a number too large to be one.');
        self::assertSame(0, Zone::query()->count());
    }

    public function test_a_refusal_names_the_field_as_it_is_called_on_screen(): void
    {
        $this->actingAs($this->person());
        $errors = $this->postJson(
            '/api/zones',
            ['height_m' => 'tall', 'settlements' => [['name' => str_repeat('x', 90)]]] + $this->zoneValues(),
        )
            ->assertUnprocessable()
            ->json('errors');
        self::assertSame('The height field must be an integer.', $errors['height_m'][0]);
        self::assertSame('The settlement field must not be greater than 80 characters.', $errors['settlements.0.name'][0]);
        self::assertSame('The e-mail address field is required.', $this->postJson('/api/session', [])->json('errors.email.0'));
    }

    public function test_a_redirect_goes_to_this_service_whatever_a_request_calls_it(): void
    {
        foreach (['/desk', '/?place=70110'] as $path) {
            self::assertStringNotContainsString('evil', (string) $this->get($path, ['Host' => 'evil.example'])->headers->get('Location'));
        }
    }

    public function test_a_place_is_required_and_doubted_when_it_is_far_from_the_others(): void
    {
        $this->actingAs($this->person());
        foreach (['', null] as $blank) {
            $this->postJson('/api/zones', ['latitude' => $blank, 'longitude' => $blank] + $this->zoneValues())
                ->assertUnprocessable()
                ->assertJsonValidationErrors(['latitude', 'longitude']);
        }
        $this->postJson('/api/zones', $this->zoneValues())->assertCreated();
        $wrong = ['longitude' => 98.2] + $this->zoneValues('Other');
        $words = $this->postJson('/api/zones', $wrong)->assertUnprocessable()->json('errors.far_off.0');
        self::assertStringStartsWith('46.8° N, 98.2° E is ', $words);
        self::assertStringContainsString('Test Basin (46.8° N, 98.2° W)', $words);
        $this->postJson('/api/zones', ['far_off' => true] + $wrong)->assertCreated();
        $this->postJson('/api/zones', ['latitude' => 47.3] + $this->zoneValues('Neighbour'))->assertCreated();
    }

    /** Only the made-up record's last years. */
    private function shortRecord(): string
    {
        return implode(
            "\n",
            array_filter(
                explode("\n", (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv'))),
                static fn (string $l): bool => str_starts_with($l, 'date') || $l >= '2009-01-01',
            ),
        );
    }

    public function test_a_short_record_is_said_wherever_its_dates_are(): void
    {
        Zone::factory()->create();
        $this->actingAs($this->person());
        $short = $this->shortRecord();
        $this->post('/api/zones/test-basin/record-previews', ['file' => $this->textFile($short)], ['Accept' => 'application/json'])
            ->assertOk()
            ->assertJsonPath('data.cold_seasons', 3);
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->textFile($short)],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->getJson('/api/zones/test-basin')->assertJsonPath('data.cold_seasons', 3)->assertJsonPath('data.short_record', true);
        $windows = $this->getJson('/api/zones/test-basin/windows')->json('data');
        self::assertSame([true, 3, []], [$windows['ruler']['short_record'], $windows['ruler']['seasons'], $windows['standards']]);
        $spinach = $this->getJson('/api/zones/test-basin/windows/spinach')->json('data');
        self::assertSame('count-back', $spinach['crop']['school']);
        self::assertMatchesRegularExpression(
            '/^Sow outdoors: on \d+ of these \d+ days, fewer than half of the years on record came to a harvest\.$/',
            $this->said($spinach['disagreements'][0]),
        );
        $this->publish()->assertStatus(202);
        foreach (['', '/this-week', '/weeks/3', '/crops/radish', '/editions/1', '/editions/1/crops/kale'] as $page) {
            $this->get("/zones/test-basin{$page}")
                ->assertOk()
                ->assertSee('Only 3 winters on record: treat these dates as a rough guess.');
        }
        self::assertStringContainsString(
            'Only 3 winters on record: treat these dates as a rough guess.',
            str_replace("\r\n ", '', (string) $this->get('/zones/test-basin/calendar.ics')->getContent()),
        );
        self::assertStringStartsWith(
            'Only 3 winters on record: treat these dates as a rough guess.',
            $this->said(Edition::query()->firstOrFail()->open()->content['guidance'][0]),
        );
    }

    public function test_a_file_that_contradicts_itself_or_the_record_is_imported_only_when_somebody_says_so(): void
    {
        Zone::factory()->create();
        $this->actingAs($this->person());
        $bring = fn (string $what, string $text, array $more = []) => $this->post(
            "/api/zones/test-basin/{$what}",
            ['file' => $this->textFile($text)] + $more,
            ['Accept' => 'application/json'],
        );
        $rows = implode(
            '',
            array_map(static fn (int $d): string => sprintf("2001-03-%02d,1.0,9.0\n2001-03-%02d,-4.0,5.0\n", $d, $d), range(1, 25)),
        );
        $bring('record-previews', "date,tmin_c,tmax_c\n{$rows}")
            ->assertOk()
            ->assertJsonPath('data.doubtful', true)
            ->assertJsonPath('data.contradicted', 25);
        $bring('record-imports', "date,tmin_c,tmax_c\n{$rows}")
            ->assertUnprocessable()
            ->assertJsonValidationErrorFor('confirmed');
        $bring('record-imports', "date,tmin_c,tmax_c\n{$rows}", ['confirmed' => '1'])->assertStatus(202);
        $two =
            "place,date,tmin_c,tmax_c\n".
            preg_replace('/^(.*1\.0.*)$/m', 'Low,$1', (string) preg_replace('/^(.*-4\.0.*)$/m', 'High,$1', $rows));
        $bring('record-previews', $two, ['to_station' => 'new'])
            ->assertOk()
            ->assertJsonPath('data.doubtful', false)
            ->assertJsonPath('data.stations.1.station', 'High');
        $bring('record-previews', "when,a,b\n1,2,3\n")
            ->assertUnprocessable()
            ->assertJsonPath('columns', ['when', 'a', 'b']);
    }

    public function test_the_same_record_in_whole_fahrenheit_alarms_nobody(): void
    {
        $this->zoneWithRecord();
        $fahrenheit = (string) preg_replace_callback(
            '/^(\d{4}-\d\d-\d\d),([^,]*),(.*)$/m',
            static fn (array $m): string => $m[1].
                ','.
                implode(
                    ',',
                    array_map(static fn (string $c): string => trim($c) === '' ? '' : (string) round(((float) $c * 9) / 5 + 32), [
                        $m[2],
                        $m[3],
                    ]),
                ),
            (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv')),
        );
        $file = $this->textFile(str_replace(['tmin_c', 'tmax_c', 'tmin', 'tmax'], ['tmin_f', 'tmax_f', 'tmin', 'tmax'], $fahrenheit));
        $preview = $this->post('/api/zones/test-basin/record-previews', ['file' => $file], ['Accept' => 'application/json'])
            ->assertOk()
            ->json('data');
        self::assertSame(['fahrenheit', 0, false], [$preview['unit'], $preview['update']['changed'], $preview['doubtful']]);
    }

    public function test_a_gardener_finds_a_zone_in_spite_of_a_slip_and_by_district_or_a_postcode_next_to_it(): void
    {
        $this->zoneInPrint();
        foreach (['Port Ilvne', 'port ilvane', 'Fenick', 'Kestrel Basin', '70112', 'Test Bassin'] as $asked) {
            $this->get('/?place='.urlencode($asked))->assertRedirect('/zones/test-basin/this-week');
        }
        foreach (['Saddlewick', '70510', '7', 'xy'] as $asked) {
            self::assertContains($this->get('/?place='.urlencode($asked))->getStatusCode(), [200, 302]);
        }
        $this->get('/?place=Saddlewick')->assertOk()->assertSee('We know no zone by that name.');
        $this->get('/?place=70510')->assertOk()->assertSee('We know no zone by that name.');
    }

    public function test_the_demonstration_is_sown_and_its_people_let_in_only_where_it_is_asked_for(): void
    {
        config(['anthesis.demonstration' => false]);
        $this->seed(DatabaseSeeder::class);
        self::assertSame(0, User::query()->count());
        User::factory()->create(['name' => 'Wren', 'email' => 'wren@kestrel.example', 'password' => 'kestrel-demo']);
        $in = fn () => $this->postJson('/api/session', ['email' => 'wren@kestrel.example', 'password' => 'kestrel-demo']);
        self::assertStringContainsString('Everybody knows', $in()->assertUnprocessable()->json('errors.password.0'));
        config(['anthesis.demonstration' => true]);
        $in()->assertOk();
    }

    public function test_a_demonstration_is_known_to_be_unfinished_until_all_of_it_is_there(): void
    {
        config(['anthesis.demonstration' => true]);
        $demonstration = new class() extends DemoSeeder
        {
            public bool $isInterrupted = true;

            public function run(): void
            {
                if ($this->isInterrupted) {
                    throw new RuntimeException('interrupted');
                }
                User::factory()->create();
            }
        };
        $this->app->instance(DemoSeeder::class, $demonstration);
        try {
            $this->seed(DatabaseSeeder::class);
            self::fail('It was not interrupted.');
        } catch (RuntimeException $why) {
            self::assertSame('interrupted', $why->getMessage());
        }
        self::assertFileExists(DatabaseSeeder::unfinished());
        $demonstration->isInterrupted = false;
        $this->seed(DatabaseSeeder::class);
        self::assertFileDoesNotExist(DatabaseSeeder::unfinished());
    }

    #[TestWith(['short', 'at least 12'])]
    #[TestWith(['long enough to keep', null])]
    public function test_the_first_administrator_is_made_by_a_command_that_asks(string $password, ?string $refusal): void
    {
        $command = $this->artisan('anthesis:add-person', ['--only-first' => true])
            ->expectsQuestion('Name', 'Ines')
            ->expectsQuestion('E-mail', 'ines@office.example')
            ->expectsQuestion('Password, at least 12 characters', $password);
        $refusal === null ? $command->assertSuccessful() : $command->assertFailed();
        $command->run();
        self::assertSame(
            $refusal === null ? ['administrator'] : [],
            User::query()->get()->map(static fn (User $u): string => $u->role->value)->all(),
        );
        if ($refusal === null) {
            $this->artisan('anthesis:add-person', ['--only-first' => true])->assertSuccessful();
        }
    }

    public function test_a_body_of_another_kind_is_refused_before_it_is_read(): void
    {
        $this->actingAs($this->person());
        foreach (['application/xml', 'text/plain', 'application/x-php'] as $type) {
            $this->call('POST', '/api/zones', [], [], [], ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json'], '{"name":"x"}')
                ->assertStatus(415)
                ->assertJsonPath('message', 'This kind of request is not accepted. Send JSON, a form, or a table as text/csv.');
        }
        $json = ['CONTENT_TYPE' => 'application/json; charset=utf-8', 'HTTP_ACCEPT' => 'application/json'];
        $this->call('POST', '/api/zones', [], [], [], $json, '{"name":"x"}')->assertUnprocessable();
    }
}
