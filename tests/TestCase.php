<?php

declare(strict_types=1);

namespace Tests;

use Anthesis\Messages\Words;
use App\Operations\OfficeInUse;
use App\People\Role;
use App\People\User;
use App\Zones\Zone;
use Closure;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\Contract\Contract;

/** Every JSON response a test gets is validated against docs/openapi.yaml. */
abstract class TestCase extends FrameworkTestCase
{
    use RefreshDatabase;

    /**
     * @var list<string>|null slugs of the crops a test has in its book: some of every kind, because most do not need all that ship; null:
     *   all that ship
     */
    protected ?array $book = [
        'radish',
        'lettuce-leaf',
        'spinach',
        'kale',
        'carrot',
        'broad-bean',
        'bush-bean',
        'pumpkin',
        'muskmelon',
        'tomato-main',
        'onion-long-day',
        'garlic-hardneck',
        'zinnia',
        'cover-rye',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        if ($this->book !== null) {
            DB::table('crops')->whereNotIn('slug', $this->book)->delete();
        }
        Storage::fake('originals');
        Storage::fake('photos');
        Storage::fake('published');
    }

    /**
     * As outside of tests, a request starts in no office. It leaves this test in all of them. Streamed content is sent before that, in the
     * office of the person who asked.
     *
     * @param  string  $method
     * @param  string  $uri
     * @param  array<string, mixed>  $parameters
     * @param  array<string, mixed>  $cookies
     * @param  array<string, mixed>  $files
     * @param  array<string, mixed>  $server
     * @param  string|null  $content
     * @return TestResponse<\Illuminate\Http\Response>
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null): TestResponse
    {
        OfficeInUse::leave();
        try {
            $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
            if ($response->baseResponse instanceof StreamedResponse) {
                $response->streamedContent();
            }

            return $response;
        } finally {
            OfficeInUse::enterEvery();
        }
    }

    /** @param  array{key: string, with?: array<string, mixed>}  $phrase */
    protected function said(array $phrase): string
    {
        return Words::in('en')->phrase($phrase);
    }

    /**
     * @param  \Illuminate\Http\Response  $response
     * @param  Request  $request
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function createTestResponse($response, $request): TestResponse
    {
        if (str_starts_with((string) $response->headers->get('Content-Type'), 'application/json')) {
            Contract::read()->assertFits(
                $request->method(),
                $request->path(),
                $response->getStatusCode(),
                (string) $response->getContent(),
            );
        }

        return parent::createTestResponse($response, $request);
    }

    protected function person(Role $role = Role::Educator): User
    {
        return User::factory()->as($role)->create();
    }

    /** @return array<string, mixed> */
    protected function zoneValues(string $name = 'Test Basin', float $latitude = 46.8): array
    {
        return [
            'name' => $name,
            'district' => 'Kestrel Basin',
            'latitude' => $latitude,
            'longitude' => -98.2,
            'height_m' => 410,
            'settlements' => [['name' => 'Port Ilvane', 'postcode' => '70110'], ['name' => 'Fennick', 'postcode' => null]],
        ];
    }

    protected function stationFile(string $station = 'north'): UploadedFile
    {
        return new UploadedFile(base_path("core/tests/fixtures/station-{$station}.csv"), "{$station}.csv", 'text/csv', null, true);
    }

    protected function textFile(string $text, string $name = 'station.csv'): UploadedFile
    {
        return UploadedFile::fake()->createWithContent($name, $text);
    }

    /** A zone whose windows are computed from the northern station's record, with an educator logged in. */
    protected function zoneWithRecord(): void
    {
        $this->made('record', function (): void {
            Zone::factory()->create();
            $this->actingAs($this->person())
                ->post('/api/zones/test-basin/record-imports', ['file' => $this->stationFile()], ['Accept' => 'application/json'])
                ->assertStatus(202);
        });
    }

    /** The same, with its first edition published. */
    protected function zoneInPrint(string $note = 'The first edition.'): void
    {
        $this->made("print {$note}", function () use ($note): void {
            $this->zoneWithRecord();
            $this->publish($note)->assertStatus(202)->assertJsonPath('data.state', 'done');
        });
    }

    /** What a test starts with, with its book; the person who made it is logged in. */
    protected function made(string $what, Closure $make): void
    {
        FixtureSnapshot::of($what.json_encode($this->book), $make);
        $this->actingAs(User::query()->firstOrFail());
    }

    /**
     * @param  array<string, mixed>  $values  without the version, which is the zone's current one
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function editZone(array $values, string $slug = 'test-basin'): TestResponse
    {
        return $this->patchJson("/api/zones/{$slug}", $values + ['version' => Zone::query()->where('slug', $slug)->value('version')]);
    }

    /**
     * @param  array<string, mixed>  $values
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function putOnZone(string $what, array $values, string $slug = 'test-basin'): TestResponse
    {
        return $this->putJson("/api/zones/{$slug}/{$what}", $values + ['version' => Zone::query()->where('slug', $slug)->value('version')]);
    }

    /**
     * Publishes what is computed, with an answer to each of the draft's warnings.
     *
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function publish(string $note = 'The first edition.', array $more = [], string $slug = 'test-basin'): TestResponse
    {
        $warnings = $this->getJson("/api/zones/{$slug}/draft")->json('data.warnings') ?? [];

        return $this->postJson(
            "/api/zones/{$slug}/editions",
            $more + ['note' => $note, 'key' => uniqid('key-'), 'answers' => array_fill_keys(array_column($warnings, 'key'), 'Known.')],
        );
    }
}
