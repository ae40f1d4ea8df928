<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\Heartbeat;
use App\Zones\Computation;
use App\Zones\ComputationState;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Checks what the application needs to do its work, one by one.
 *
 * @phpstan-type Check array{sound: bool, words: string}
 */
final class Health
{
    /** Work that waits longer has nobody to do it. */
    private const LONGEST_WAIT_S = 120;

    private const SCHEDULER_S = 60;

    private const LEAST_DISK_MIB = 200;

    /** @return array<string, Check> by what was checked */
    public static function checks(): array
    {
        return [
            'database' => self::check(
                static fn (): string => DB::scalar('SELECT 1') == 1 ? 'answers' : throw new \RuntimeException('answers nonsense'),
            ),
            'programs' => self::check(self::programs(...)),
            'queue' => self::check(self::queue(...)),
            'scheduler' => self::check(self::scheduler(...)),
            'disk' => self::check(self::disk(...)),
            'verification' => self::check(self::verification(...)),
        ];
    }

    /**
     * @param  callable(): string  $look
     * @return Check
     */
    private static function check(callable $look): array
    {
        try {
            return ['sound' => true, 'words' => $look()];
        } catch (\RuntimeException $error) {
            // A driver's message may contain addresses and names; ours are sentences.
            return ['sound' => false, 'words' => $error::class === \RuntimeException::class ? $error->getMessage() : 'does not answer'];
        } catch (Throwable) {
            return ['sound' => false, 'words' => 'does not answer'];
        }
    }

    /** Each program holds a lock as long as it runs; if the lock is free, the program is missing. */
    private static function programs(): string
    {
        $away = [];
        $files = glob(config('anthesis.run').'/*.alive') ?: [];
        foreach (config('anthesis.run') === '' ? [] : $files as $file) {
            $lock = @fopen($file, 'r');
            if ($lock !== false && flock($lock, LOCK_EX | LOCK_NB)) {
                $away[] = basename($file, '.alive');
            }
            $lock === false || fclose($lock);
        }

        return $away === []
            ? (config('anthesis.run') === ''
                ? 'not looked at: not started by bin/service'
                : count($files).' are running')
            : throw new \RuntimeException('not running: '.implode(', ', $away).'. If it stays so, look at storage/logs.');
    }

    private static function queue(): string
    {
        $oldest = Computation::query()->where('state', ComputationState::Queued)->min('created_at');
        $waited = $oldest === null ? 0 : (int) now()->diffInSeconds($oldest, true);

        return $waited <= self::LONGEST_WAIT_S
            ? ($oldest === null
                ? 'nothing waits'
                : "the oldest waits for {$waited} s")
            : throw new \RuntimeException("a computing waits for {$waited} s: are the workers running?");
    }

    private static function scheduler(): string
    {
        $beat = Heartbeat::query()->find(Heartbeat::SCHEDULER);
        $ago = $beat === null ? null : (int) now()->diffInSeconds($beat->beaten_at, true);

        return $ago === null
            ? 'has not run yet'
            : ($ago <= self::SCHEDULER_S
                ? "ran {$ago} s ago"
                : throw new \RuntimeException("has not run for {$ago} s"));
    }

    private static function disk(): string
    {
        $path = storage_path('app');
        $free = disk_free_space($path);
        if (! is_writable($path) || $free === false) {
            throw new \RuntimeException('the storage cannot be written to');
        }
        $mib = (int) ($free / 1048576);

        return $mib >= self::LEAST_DISK_MIB ? 'there is room' : throw new \RuntimeException("only {$mib} MiB are free");
    }

    private static function verification(): string
    {
        $last = Heartbeat::query()->find(Heartbeat::VERIFICATION);
        if ($last === null) {
            return 'has not run yet';
        }
        $words = $last->beaten_at->format('Y-m-d H:i').': '.($last->words ?? '');

        return $last->sound ? $words : throw new \RuntimeException($words);
    }
}
