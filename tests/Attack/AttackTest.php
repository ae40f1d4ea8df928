<?php

declare(strict_types=1);

namespace Tests\Attack;

use App\People\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\Contract\Contract;
use Tests\Populated;
use Tests\TestCase;

/**
 * The whole contract, with bad input: nothing answers with an error of ours, a refused request saves nothing, and every refusal is a
 * sentence. ATTACK_SEED gives other input than usual.
 */
final class AttackTest extends TestCase
{
    use Populated;

    private const SEED = 20261125;

    private const REQUESTS = 5200;

    private const FILES = 1000;

    /** Tables that a refused request must leave unchanged. */
    private const WATCHED = [
        'zones',
        'settlements',
        'stations',
        'record_imports',
        'records',
        'crops',
        'crop_revisions',
        'varieties',
        'crop_choices',
        'quality_decisions',
        'sites',
        'editions',
        'publications',
        'changes',
        'computations',
        'soil_spots',
        'soil_readings',
        'advisories',
        'station_devices',
        'objections',
        'beds',
        'sowings',
        'log_entries',
        'trials',
        'trial_plots',
        'cue_plants',
        'local_days',
        'plantings',
        'prices',
        'users',
        'invitations',
        'personal_access_tokens',
    ];

    private Hostile $hostile;

    protected function setUp(): void
    {
        parent::setUp();
        $this->hostile = new Hostile((int) (getenv('ATTACK_SEED') ?: self::SEED));
        $this->populate();
        Queue::fake();
    }

    public function test_every_operation_refuses_bad_input_in_words_and_saves_nothing_of_it(): void
    {
        $operations = array_map(static fn (string $o): array => explode(' ', $o, 2), Contract::read()->operations());
        $operations = [
            ...$operations,
            ['GET', '/'],
            ['GET', '/zones/{zone}'],
            ['GET', '/zones/{zone}/weeks/{week}'],
            ['GET', '/zones/{zone}/crops/{crop}'],
            ['GET', '/zones/{zone}/editions/{number}'],
            ['GET', '/zones/{zone}/calendar.ics'],
            ['GET', '/zones/{zone}/news.atom'],
            ['GET', '/desk-files/record-imports/{import}'],
            ['GET', '/desk-files/zones/{zone}/record.csv'],
        ];
        // Logging out would end the walk; logging in as somebody is another walk; and /up rightly says that no program is running.
        $operations = array_values(
            array_filter($operations, static fn (array $o): bool => ! in_array($o[1], ['/api/session', '/up'], true)),
        );
        $answers = [];
        for ($i = 0; $i < self::REQUESTS; $i++) {
            [$method, $path] = $operations[$i % count($operations)];
            $before = $this->fingerprint();
            [$shown, $response] = $this->send($method, $path);
            $status = $response->getStatusCode();
            $answers[$status] = ($answers[$status] ?? 0) + 1;
            $this->assertRefusedInWordsOrDone($response, "{$shown} (request {$i}, seed {$this->hostile->seed})");
            if ($status >= 400) {
                self::assertSame(
                    $before,
                    $this->fingerprint(),
                    "{$shown} was refused with {$status} and changed something (request {$i})",
                );
            }
        }
        self::assertGreaterThan(
            self::REQUESTS / 2,
            array_sum(array_filter($answers, static fn (int $status): bool => $status >= 400, ARRAY_FILTER_USE_KEY)),
            'most of it is refused',
        );
        self::assertArrayHasKey(422, $answers);
        self::assertArrayHasKey(400, $answers);
    }

    public function test_a_stranger_gets_nowhere_with_it(): void
    {
        $this->app['auth']->forgetGuards();
        $this->app['session']->flush();
        foreach (Contract::read()->operations() as $i => $operation) {
            [$method, $path] = explode(' ', $operation, 2);
            $before = $this->fingerprint();
            [$shown, $response] = $this->send($method, $path);
            $this->assertRefusedInWordsOrDone($response, $shown);
            self::assertSame($before, $this->fingerprint(), $shown);
        }
    }

    public function test_a_volunteer_changes_nothing_that_is_the_educators(): void
    {
        $volunteer = $this->person(Role::Volunteer);
        $this->actingAs($volunteer);
        // What a volunteer measures, logs, and plans is their own work, and so are their tokens.
        $own = [
            'computations',
            'soil_spots',
            'soil_readings',
            'beds',
            'sowings',
            'log_entries',
            'trials',
            'trial_plots',
            'plantings',
            'prices',
            'personal_access_tokens',
            'changes',
        ];
        $before = $this->fingerprint($own);
        foreach (range(1, 400) as $i) {
            $operations = Contract::read()->operations();
            [$method, $path] = explode(' ', $operations[$i % count($operations)], 2);
            if ($path === '/api/session') {
                continue;
            }
            [$shown, $response] = $this->send($method, $path);
            $this->assertRefusedInWordsOrDone($response, $shown);
        }
        self::assertSame($before, $this->fingerprint($own));
        $changed = DB::table('changes')->where('person', $volunteer->id)->distinct()->pluck('subject')->all();
        $others = array_values(array_diff($changed, ['users', 'beds', 'plantings']));
        self::assertSame([], $others, 'of themselves, their beds, and their plans alone');
    }

    public function test_mangled_station_files_are_refused_in_words_or_understood_and_nothing_is_saved_unasked(): void
    {
        $files = $this->stationFiles();
        $taken = 0;
        for ($i = 0; $i < self::FILES; $i++) {
            $text = $this->hostile->mangled($this->hostile->one($files));
            $before = $this->fingerprint();
            $what = $i % 10 === 0 ? 'record-imports' : 'record-previews';
            $response = $this->call(
                'POST',
                "/api/zones/test-basin/{$what}",
                ['to_station' => 'new', 'key' => "mangled-{$i}"],
                [],
                ['file' => $this->textFile($text)],
                ['HTTP_ACCEPT' => 'application/json'],
            );
            $this->assertRefusedInWordsOrDone(
                $response,
                "file {$i}, seed {$this->hostile->seed}: ".json_encode(substr($text, 0, 120), JSON_INVALID_UTF8_SUBSTITUTE),
            );
            if ($what === 'record-previews' || $response->getStatusCode() >= 400) {
                self::assertSame($before, $this->fingerprint(), "file {$i}");
            }
            $taken += $response->getStatusCode() < 300 ? 1 : 0;
        }
        self::assertGreaterThan(50, $taken, 'some damage is small enough to read on');
        self::assertLessThan(self::FILES - 200, $taken, 'and much of it is not');
    }

    /** @param  TestResponse<\Illuminate\Http\Response>  $response */
    private function assertRefusedInWordsOrDone(TestResponse $response, string $what): void
    {
        $status = $response->getStatusCode();
        self::assertLessThan(
            500,
            $status,
            "{$what} answered {$status}: ".
                mb_substr((string) ($response->baseResponse->exception ?? null)?->getMessage(), 0, 300).
                ' '.
                ($response->baseResponse->exception ?? null)?->getFile().
                ':'.
                ($response->baseResponse->exception ?? null)?->getLine(),
        );
        if ($status < 400) {
            return;
        }
        $body = (string) $response->getContent();
        $words = json_validate($body)
            ? json_decode($body, true)['message'] ?? ''
            : trim((string) preg_replace('/.*<p>\s*(.*?)<\/p>.*/s', '$1', $body));
        self::assertMatchesRegularExpression(
            '/\p{L}+.*\s.*\p{L}+/us',
            (string) $words,
            "{$what} answered {$status} without a sentence",
        );
        self::assertStringNotContainsString('SQLSTATE', $body, $what);
        self::assertStringNotContainsString(base_path(), $body, $what);
    }

    /** @return array{string, TestResponse<\Illuminate\Http\Response>} what was sent, and the answer */
    private function send(string $method, string $path): array
    {
        $known = ['zone' => 'test-basin', 'crop' => 'radish', 'number' => '1', 'week' => '20', 'year' => '2005'];
        $address = (string) preg_replace_callback(
            '/\{([a-z]+)\}/',
            fn (array $m): string => match (true) {
                $this->hostile->below(3) > 0 && isset($known[$m[1]]) => $known[$m[1]],
                $this->hostile->below(2) === 0 => '1',
                $this->hostile->below(8) === 0 => $this->hostile->rawSegment(),
                default => $this->hostile->segment(),
            },
            $path,
        );
        if ($method === 'GET') {
            $names = [
                'place',
                'site',
                'standard',
                'from',
                'to',
                'station',
                'route',
                'variety',
                'crop',
                'act',
                'after',
                'garden',
                'bed',
            ];
            $query = [];
            for ($i = $this->hostile->below(3); $i >= 0; $i--) {
                $value = $this->hostile->value();
                $query[(string) $this->hostile->one($names)] = is_array($value) || is_string($value) ? $value : json_encode($value);
            }
            $tail = $this->hostile->below(10) === 0 ? '&place='.$this->hostile->rawSegment() : '';
            $address .= '?'.http_build_query($query).$tail;

            return [
                "GET {$address}",
                $this->call(
                    'GET',
                    $address,
                    [],
                    [],
                    [],
                    ['HTTP_ACCEPT' => str_starts_with($path, '/api') ? 'application/json' : 'text/html'],
                ),
            ];
        }
        $operation = Contract::read()->document['paths'][$path][strtolower($method)];
        $body = $operation['requestBody'] ?? [];
        $content = isset($body['$ref']) ? $this->resolved($body['$ref'])['content'] : $body['content'] ?? [];
        if (isset($content['multipart/form-data'])) {
            $fields = $this->spoiled($this->example($content['multipart/form-data']['schema']));
            $fields = is_array($fields) ? array_filter($fields, static fn (mixed $v): bool => $v !== null) : [];
            $named = isset($fields['photo']) ? 'photo' : 'file';
            unset($fields['file'], $fields['photo']);
            $files =
                $this->hostile->below(4) === 0
                    ? []
                    : [
                        $named => $this->textFile(
                            $this->hostile->mangled($this->stationFiles()[0]),
                            (string) $this->hostile->one([
                                'a.csv',
                                "b\u{202E}.csv",
                                '../../x',
                                str_repeat('n', 300).'.csv',
                                '=cmd.csv',
                            ]),
                        ),
                    ];

            return [
                "{$method} {$address} ".json_encode($fields, JSON_PARTIAL_OUTPUT_ON_ERROR),
                $this->call($method, $address, $fields, [], $files, ['HTTP_ACCEPT' => 'application/json']),
            ];
        }
        $json = (string) json_encode(
            $this->spoiled($this->example($content['application/json']['schema'] ?? [])),
            JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR,
        );
        if ($this->hostile->below(6) === 0) {
            $json = $this->hostile->broken($json);
        }

        return [
            "{$method} {$address} ".mb_substr(mb_scrub($json), 0, 300),
            $this->call(
                $method,
                $address,
                [],
                [],
                [],
                ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                $json,
            ),
        ];
    }

    /** A proper body with one or two fields spoiled, left out, or added. */
    private function spoiled(mixed $body): mixed
    {
        if (! is_array($body) || $this->hostile->below(12) === 0) {
            return $this->hostile->value();
        }
        for ($i = $this->hostile->below(2); $i >= 0; $i--) {
            $fields = array_keys($body);
            $field = $fields === [] || $this->hostile->below(8) === 0 ? 'one_too_many' : $this->hostile->one($fields);
            if ($this->hostile->below(6) === 0) {
                unset($body[$field]);
            } elseif (isset($body[$field]) && is_array($body[$field]) && $this->hostile->below(2) === 0) {
                $body[$field] = $this->spoiled($body[$field]);
            } else {
                $body[$field] = $this->hostile->value();
            }
        }

        return $body;
    }

    /** @param  array<string, mixed>  $schema */
    private function example(array $schema): mixed
    {
        if (isset($schema['$ref'])) {
            return $this->example($this->resolved($schema['$ref']));
        }
        if (isset($schema['oneOf'])) {
            return $this->example(end($schema['oneOf']));
        }
        $type = is_array($schema['type'] ?? null) ? $schema['type'][0] : $schema['type'] ?? 'object';

        return match (true) {
            isset($schema['enum']) => $schema['enum'][0],
            $type === 'integer' => 1,
            $type === 'number' => 1.5,
            $type === 'boolean' => true,
            $type === 'array' => [$this->example($schema['items'] ?? [])],
            $type === 'string' => str_contains($schema['pattern'] ?? '', '\d{4}')
                ? '2005-04-01'
                : (isset($schema['pattern'])
                    ? '04-01'
                    : 'some words'),
            isset($schema['properties']) => array_map($this->example(...), $schema['properties']),
            default => ['maturity_days' => '40'],
        };
    }

    /** @return array<string, mixed> */
    private function resolved(string $reference): array
    {
        $found = Contract::read()->document;
        foreach (explode('/', substr($reference, 2)) as $part) {
            $found = $found[$part];
        }

        return $found;
    }

    /**
     * @param  list<string>  $but
     * @return list<mixed>
     */
    private function fingerprint(array $but = []): array
    {
        $tables = array_diff(self::WATCHED, $but);
        $versions = ['zones', 'crops', 'varieties', 'sites'];

        return (array) DB::selectOne(
            'SELECT '.
                implode(
                    ', ',
                    array_map(
                        static fn (string $t): string => "(SELECT CONCAT(COUNT(*), ' ', IFNULL(MAX(id), 0)".
                            (in_array($t, $versions, true) ? ", ' ', SUM(version)" : '').
                            ") FROM {$t}) AS {$t}",
                        $tables,
                    ),
                ),
        );
    }

    /** @return list<string> sixty days in each format */
    private function stationFiles(): array
    {
        $csv = "date,tmin_c,tmax_c\n";
        $long = $dly = '';
        $minima = $maxima = ['03' => '', '04' => ''];
        foreach (range(0, 60) as $i) {
            $date = date('Y-m-d', (int) strtotime("2001-03-01 +{$i} days"));
            [$low, $high] = [sin($i) * 5, sin($i) * 5 + 9];
            $csv .= sprintf("%s,%.1f,%.1f\n", $date, $low, $high);
            $long .= sprintf(
                "XX000046800,%s,TMAX,%d,,,S,\nXX000046800,%s,TMIN,%d,,,S,\n",
                str_replace('-', '', $date),
                $high * 10,
                str_replace('-', '', $date),
                $low * 10,
            );
            $minima[substr($date, 5, 2)] .= sprintf('%5d   ', $low * 10);
            $maxima[substr($date, 5, 2)] .= sprintf('%5d   ', $high * 10);
        }
        foreach (['03', '04'] as $month) {
            $dly .=
                "XX0000468002001{$month}TMAX".
                str_pad($maxima[$month], 248).
                "\nXX0000468002001{$month}TMIN".
                str_pad($minima[$month], 248).
                "\n";
        }
        $two = preg_replace('/^(\d.*)$/m', "Saddlewick,$1\nUpper Marl,$1", str_replace('date', 'place,date', $csv)) ?? '';

        return [$csv, $long, $dly, str_replace(['.', ','], [',', ';'], $csv), (string) gzencode($csv), $two];
    }
}
