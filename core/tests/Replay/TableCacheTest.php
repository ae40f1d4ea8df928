<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Replay\TableCache;
use PHPUnit\Framework\TestCase;

final class TableCacheTest extends TestCase
{
    /** @var list<string> */
    private array $made = [];

    /** @return list<int> */
    private function get(TableCache $cache, string $of, string $key, int $entries = 8, int $lists = 1): array
    {
        return $cache->get($of, $key, $entries, $lists, function () use ($of, $key): array {
            $this->made[] = "{$of} {$key}";

            return [strlen($of), strlen($key)];
        });
    }

    public function test_a_table_is_made_once_from_the_same(): void
    {
        $cache = new TableCache(1000);
        foreach (['soil', 'air', 'soil', 'air'] as $of) {
            self::assertSame([strlen($of), 6], $this->get($cache, $of, 'freeze'));
        }
        self::assertSame(['soil freeze', 'air freeze'], $this->made);
        self::assertSame(2 * 128, $cache->bytes());
    }

    public function test_each_record_has_a_number_of_its_own(): void
    {
        $cache = new TableCache();
        $record = static fn (): DailyRecord => new DailyRecord(Day::of(2020, 1, 1), [1.0], [2.0]);
        [$one, $two] = [$record(), $record()];
        self::assertSame([1, 2, 1], array_map($cache->numberOf(...), [$one, $two, $one]));
        unset($two);
        self::assertSame(3, $cache->numberOf($record()), 'the number of a record that is gone is not given again');
    }

    public function test_where_there_would_be_too_many_the_one_used_longest_ago_goes(): void
    {
        $cache = new TableCache(3 * 128);
        foreach (['a', 'b', 'c', 'a', 'd', 'a', 'c', 'b'] as $key) {
            $this->get($cache, '1', $key);
        }
        // d took the place of b, which was used longest ago; b then that of d.
        self::assertSame(['1 a', '1 b', '1 c', '1 d', '1 b'], $this->made);
        self::assertSame(3 * 128, $cache->bytes(), 'exactly as many as may be');
        $this->get($cache, '1', 'e', 9);
        self::assertSame(256 + 128, $cache->bytes(), 'two made room for one of twice their size');
        $this->get($cache, '1', 'larger than all', 16, 2);
        self::assertSame(2 * 256, $cache->bytes(), 'the one that is asked for is kept, whatever it takes');
    }

    public function test_a_list_takes_what_php_takes_for_it(): void
    {
        self::assertSame(
            [128, 128, 256, 16 << 15, 2 << 20, 2 << 20, 2 << 20, 4 << 20],
            array_map(TableCache::bytesOf(...), [1, 8, 9, 1 << 15, (1 << 15) + 1, 1 << 16, 1 << 17, (1 << 17) + 1]),
        );
    }
}
