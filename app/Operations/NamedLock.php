<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Facades\DB;

/**
 * A lock held by its holder's database connection. It is released with the connection, so a killed worker leaves none behind. All machines
 * that share the database share it, whatever the queue.
 */
final class NamedLock
{
    private function __construct(private readonly string $name)
    {
    }

    /**
     * @param  int  $wait  seconds to wait for the current holder
     * @return self|null null: another connection has it
     */
    public static function take(string $name, int $wait = 0): ?self
    {
        $name = self::full($name);

        return (int) DB::scalar('SELECT GET_LOCK(?, ?)', [$name, $wait]) === 1 ? new self($name) : null;
    }

    public static function isFree(string $name): bool
    {
        return (int) DB::scalar('SELECT IS_FREE_LOCK(?)', [self::full($name)]) === 1;
    }

    public function release(): void
    {
        DB::scalar('SELECT RELEASE_LOCK(?)', [$this->name]);
    }

    /** Locks belong to the server, not to the database. */
    private static function full(string $name): string
    {
        return DB::getDatabaseName().'-'.$name;
    }
}
