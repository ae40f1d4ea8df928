<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\DailyRecord;
use Closure;
use WeakMap;

/**
 * Tables of seasons that are kept because several crops use the same ones, up to a bound. Beyond it, the least recently used one is
 * dropped, and made again when needed. Replays of one place at several sites share the cache, so there is one bound for their memory, and
 * what is the same at several sites is made once.
 *
 * @internal to the replay
 */
final class TableCache
{
    /** Bytes of all tables. Those of all crops that ship, on thirty years at one site, take 28 MiB. */
    public const BYTES = 32 << 20;

    private const ENTRY = 16;

    /** PHP takes memory from the system in pieces of this many bytes. */
    private const CHUNK = 2 << 20;

    /** @var array<string, array<mixed>> least recently used first */
    private array $tables = [];

    /** @var array<string, int> bytes of each */
    private array $sizes = [];

    private int $bytes = 0;

    /** @var WeakMap<DailyRecord, int> */
    private WeakMap $numbers;

    private int $records = 0;

    public function __construct(private readonly int $most = self::BYTES)
    {
        $this->numbers = new WeakMap();
    }

    /** A number for each record that tables are made from. It is not given again, even after the record is gone. */
    public function numberOf(DailyRecord $record): int
    {
        return $this->numbers[$record] ??= ++$this->records;
    }

    /**
     * @template T of array<mixed>
     *
     * @param  string  $of  what else it is made from, beside what the key says
     * @param  int  $entries  of each of its lists
     * @param  int  $lists  how many it has
     * @param  Closure(): T  $make
     * @return T
     */
    public function get(string $of, string $key, int $entries, int $lists, Closure $make): array
    {
        $key = "{$of}: {$key}";
        /** @var T|null $table a key is always of the same kind of table */
        $table = $this->tables[$key] ?? null;
        if ($table !== null) {
            // If everything fits, nothing is dropped, and the order does not matter.
            if ($this->bytes > $this->most >> 1) {
                unset($this->tables[$key]);
                $this->tables[$key] = $table;
            }

            return $table;
        }
        $table = $make();
        $bytes = $lists * self::bytesOf($entries);
        $this->bytes += $bytes;
        while ($this->bytes > $this->most && $this->tables !== []) {
            $oldest = array_key_first($this->tables);
            $this->bytes -= $this->sizes[$oldest];
            unset($this->tables[$oldest], $this->sizes[$oldest]);
        }
        $this->sizes[$key] = $bytes;
        $this->tables[$key] = $table;

        return $table;
    }

    /** Bytes of all tables in the cache. */
    public function bytes(): int
    {
        return $this->bytes;
    }

    /** The size of a list: room for a power of two of entries. If that is half a piece of memory, no second one fits beside it. */
    public static function bytesOf(int $entries): int
    {
        $bytes = self::ENTRY << (int) ceil(log(max(8, $entries), 2));

        return $bytes === self::CHUNK >> 1 ? self::CHUNK : $bytes;
    }
}
