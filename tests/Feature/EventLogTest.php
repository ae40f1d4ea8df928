<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Monolog\Handler\TestHandler;
use Monolog\Logger;
use Tests\TestCase;

/** The log says who came and what was refused, without secrets; only our own bugs are errors. */
final class EventLogTest extends TestCase
{
    protected ?array $book = ['radish'];

    private TestHandler $log;

    protected function setUp(): void
    {
        parent::setUp();
        Zone::factory()->create();
        $this->log = new TestHandler();
        Log::swap(new Logger('test', [$this->log]));
    }

    /** @return list<string> level, message, and context, one line each */
    private function lines(): array
    {
        return array_map(
            static fn ($record): string => "{$record->level->getName()} {$record->message} ".json_encode($record->context),
            $this->log->getRecords(),
        );
    }

    public function test_who_logs_in_and_who_does_not_is_noted_without_the_password(): void
    {
        $user = User::factory()->create(['email' => 'wren@example.org', 'password' => 'correct horse battery']);
        $this->postJson('/api/session', ['email' => 'wren@example.org', 'password' => 'a wrong secret'])->assertUnprocessable();
        $this->postJson('/api/session', ['email' => 'wren@example.org', 'password' => 'correct horse battery'])->assertOk();
        $this->deleteJson('/api/session')->assertNoContent();
        $lines = $this->lines();
        self::assertStringStartsWith('NOTICE log-in refused {"method":"POST","route":"api\/session","user":null', $lines[0]);
        self::assertStringContainsString('"fields":["email"]', $lines[1]);
        self::assertStringStartsWith("INFO logged in {\"method\":\"POST\",\"route\":\"api\\/session\",\"user\":{$user->id}", $lines[2]);
        self::assertStringStartsWith("INFO logged out {\"method\":\"DELETE\",\"route\":\"api\\/session\",\"user\":{$user->id}", $lines[3]);
        foreach ($lines as $line) {
            self::assertStringNotContainsString('secret', $line);
            self::assertStringNotContainsString('battery', $line);
        }
    }

    public function test_refusals_are_no_errors_and_tell_fields_and_not_what_was_in_them(): void
    {
        $this->postJson('/api/zones', ['name' => 'Secret Meadow'])->assertUnauthorized();
        $this->actingAs($this->person());
        $this->postJson('/api/zones', ['name' => 'Secret Meadow', 'latitude' => 'far north'])->assertUnprocessable();
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->textFile("secret\nfile\n")],
            ['Accept' => 'application/json'],
        )->assertUnprocessable();
        $this->patchJson('/api/zones/test-basin', $this->zoneValues() + ['version' => 99])->assertConflict();
        $lines = $this->lines();
        self::assertCount(4, $lines);
        self::assertSame(
            ['NOTICE', 'INFO', 'INFO', 'NOTICE'],
            array_map(static fn (string $line): string => explode(' ', $line)[0], $lines),
        );
        self::assertStringContainsString('"status":422', $lines[1]);
        self::assertStringContainsString('latitude', $lines[1]);
        self::assertStringContainsString('"fields":["file"]', $lines[2]);
        self::assertStringNotContainsStringIgnoringCase('secret', implode($lines));
        self::assertStringNotContainsString('far north', implode($lines));
    }

    public function test_logs_that_have_grown_are_put_aside_and_the_last_few_are_kept(): void
    {
        $folder = storage_path('framework/testing/logs-'.getmypid());
        File::ensureDirectoryExists($folder);
        $path = "{$folder}/web.log";
        try {
            foreach (range(1, 7) as $n) {
                File::put($path, str_repeat("line {$n}\n", 300));
                $this->artisan('anthesis:rotate-logs', ['--larger-than' => 2000, '--in' => $folder])->assertSuccessful();
                self::assertSame('', File::get($path));
            }
            File::put($path, 'small');
            $this->artisan('anthesis:rotate-logs', ['--larger-than' => 2000, '--in' => $folder])->assertSuccessful();
            self::assertSame('small', File::get($path));
            $kept = glob("{$path}.*") ?: [];
            self::assertCount(5, $kept);
            self::assertSame(str_repeat("line 7\n", 300), gzdecode(File::get("{$path}.1.gz")));
            self::assertSame(str_repeat("line 3\n", 300), gzdecode(File::get("{$path}.5.gz")));
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
