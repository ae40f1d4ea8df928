<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\FoundOffice;
use App\Ground\Planting;
use App\Log\LogEntry;
use App\Operations\OfficeInUse;
use App\Zones\Zone;
use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

/** What times the desk's answers gets answers, not refusals, and leaves nothing behind. */
final class BenchTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
        Zone::query()->update(['slug' => 'basin-floor']);
        config(['anthesis.today' => '2012-05-10']);
        app(FoundOffice::class)->execute('Partner District');
    }

    /** @param  array<string, int>  $options */
    private function timed(string $command, array $options): string
    {
        // As the command line does, which is of no office.
        self::assertSame(0, OfficeInUse::everywhere(static fn (): int => Artisan::call($command, $options + ['--repeats' => 1])));

        return Artisan::output();
    }

    public function test_all_answers_about_the_log_are_timed(): void
    {
        $output = $this->timed('anthesis:bench-log', ['--lines' => 160]);
        self::assertStringContainsString('under-way', $output);
        self::assertDoesNotMatchRegularExpression('/\([45]\d\d\)/', $output);
        self::assertSame(0, LogEntry::query()->count());
    }

    public function test_all_answers_about_beds_are_timed(): void
    {
        $output = $this->timed('anthesis:bench-ground', ['--beds' => 12, '--years' => 1]);
        self::assertStringContainsString('a change with its effects', $output);
        self::assertDoesNotMatchRegularExpression('/\([45]\d\d\)/', $output);
        self::assertSame(0, Planting::query()->count());
    }
}
