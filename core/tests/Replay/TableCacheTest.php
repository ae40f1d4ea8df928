<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Replay\TableCache;
use PHPUnit\Framework\TestCase;

final class TableCacheTest extends TestCase
{
    /** @var list<string> */
    private array $made = [];

    /** @return list<int> */
    private function get(TableCache $cache, int $owner, string $key, int $entries = 8, int $lists = 1): array
    {
        return $cache->get($owner, $key, $entries, $lists, function () use ($owner, $key): array {
            $this->made[] = "{$owner} {$key}";

            return [$owner, strlen($key)];
        });
    }

    public function test_a_table_is_made_once_for_each_owner(): void
    {
        $cache = new TableCache(1000);
        [$one, $two] = [$cache->owner(), $cache->owner()];
        self::assertNotSame($one, $two);
        foreach ([$one, $two, $one, $two] as $owner) {
            self::assertSame([$owner, 6], $this->get($cache, $owner, 'freeze'));
        }
        self::assertSame(["{$one} freeze", "{$two} freeze"], $this->made);
        self::assertSame(2 * 128, $cache->bytes());
    }

    public function test_where_there_would_be_too_many_the_one_used_longest_ago_goes(): void
    {
        $cache = new TableCache(3 * 128);
        foreach (['a', 'b', 'c', 'a', 'd', 'a', 'c', 'b'] as $key) {
            $this->get($cache, 1, $key);
        }
        // d took the place of b, which was used longest ago; b then that of d.
        self::assertSame(['1 a', '1 b', '1 c', '1 d', '1 b'], $this->made);
        self::assertSame(3 * 128, $cache->bytes(), 'exactly as many as may be');
        $this->get($cache, 1, 'e', 9);
        self::assertSame(256 + 128, $cache->bytes(), 'two made room for one of twice their size');
        $this->get($cache, 1, 'larger than all', 16, 2);
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
