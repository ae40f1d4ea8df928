<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** What the rules of tests/HouseRules.php cannot see: what classes of a kind do. */
final class HouseTest extends TestCase
{
    private const QUERIES = '/::query\(|->(?:get|first|count|exists|find|findOrFail|firstOrFail|refresh|load)\(|\bDB::/';

    private const WRITES = '/->(?:update|create|delete|save|insert|fill|forceFill|increment|upsert)\(|::create\(|updateOrCreate/';

    /**
     * @param  string  $kind  the last word of their names
     * @param  string  $calls  what may not be called
     * @param  string  $but  except where a line says this
     * @return list<string> file and line of each that does
     */
    private function that(string $kind, string $calls, string $but = '/$^/'): array
    {
        $found = [];
        $files = glob(dirname(__DIR__, 2)."/app/*/*{$kind}.php") ?: [];
        self::assertNotSame([], $files);
        foreach ($files as $file) {
            foreach (file($file) ?: [] as $i => $line) {
                if (preg_match($calls, $line) === 1 && preg_match($but, $line) !== 1) {
                    $found[] = basename($file).':'.($i + 1).' '.trim($line);
                }
            }
        }

        return $found;
    }

    public function test_resources_query_nothing(): void
    {
        // These are of values of the core, and of collections at hand.
        self::assertSame([], $this->that('Resource', self::QUERIES, '/FreezeStatistics::of|\$stations->first\(\)|\$decisions->get\(/'));
    }

    public function test_controllers_write_through_actions_alone(): void
    {
        // `$save` and its like are actions.
        self::assertSame([], $this->that('Controller', self::WRITES, '/\$save->/'));
    }

    public function test_controllers_send_resources_and_answers_alone(): void
    {
        // The open data has an envelope of its own.
        self::assertSame([], $this->that('Controller', "/'data' =>|response\\(\\)->json\\(/", '/OpenData::VERSION/'));
    }

    public function test_a_file_of_the_application_lies_flat_in_its_feature(): void
    {
        self::assertSame([], glob(dirname(__DIR__, 2).'/app/*/*/*') ?: []);
        self::assertSame(['AppServiceProvider.php'], array_map('basename', glob(dirname(__DIR__, 2).'/app/*.php') ?: []));
    }
}
