<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * Whose rows this process reads and writes: those of one office, of every office, or of none. `OfficeScope` limits every query to it.
 *
 * A request starts with none, so a forgotten route reads nothing at all. `KnownLogin` enters the office that a person works in;
 * `ReadsEveryOffice` opens what is public, and what has its own key. Commands and jobs belong to the installation and start with every
 * office.
 */
final class OfficeInUse
{
    private const EVERY = 0;

    /** @param  int|null  $office  `EVERY`; null: none */
    private function __construct(private ?int $office)
    {
    }

    /**
     * @return int|null null: every office
     *
     * @throws LogicException if none is in use
     */
    public static function id(): ?int
    {
        $office = self::here()->office ?? throw new LogicException('Nobody said whose rows these are: enter an office first.');

        return $office === self::EVERY ? null : $office;
    }

    /**
     * @return int the office in use; with every office in use, the only one there is
     *
     * @throws LogicException if there are several it could be
     */
    public static function one(): int
    {
        return self::id() ?? (self::only() ?? throw new LogicException('There are several offices: say which.'));
    }

    /** @return int|null null: there are several */
    public static function only(): ?int
    {
        $offices = DB::table('offices')->limit(2)->pluck('id');

        return $offices->count() === 1 ? (int) $offices[0] : null;
    }

    public static function enter(int $office): void
    {
        self::here()->office = $office;
    }

    public static function enterEvery(): void
    {
        self::here()->office = self::EVERY;
    }

    public static function leave(): void
    {
        self::here()->office = null;
    }

    /**
     * Does something in one office, then returns to the current one.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public static function within(int $office, Closure $do): mixed
    {
        return self::meanwhile($office, $do);
    }

    /**
     * The same with every office in use.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public static function everywhere(Closure $do): mixed
    {
        return self::meanwhile(self::EVERY, $do);
    }

    private static function meanwhile(int $office, Closure $do): mixed
    {
        $here = self::here();
        $before = $here->office;
        $here->office = $office;
        try {
            return $do();
        } finally {
            $here->office = $before;
        }
    }

    private static function here(): self
    {
        if (! app()->bound(self::class)) {
            app()->instance(self::class, new self(app()->runningInConsole() ? self::EVERY : null));
        }

        return app(self::class);
    }
}
