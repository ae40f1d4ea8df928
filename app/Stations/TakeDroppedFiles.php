<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Tables\FormatError;
use App\Operations\Say;
use Illuminate\Support\Facades\File;

/**
 * Imports files that were dropped into a station's folder: `<folder>/<station's number>/*.csv`. Afterward they are in `taken/`, or in
 * `refused/` with the reason beside them. A file that is still being written waits for the next time.
 */
final class TakeDroppedFiles
{
    /** A file that has not grown for this many seconds is complete. */
    private const SETTLED = 5;

    public function __construct(private readonly TakeReport $take)
    {
    }

    /** @return int files imported */
    public function execute(): int
    {
        $taken = 0;
        foreach (glob(self::folder().'/*/*.csv') ?: [] as $path) {
            $number = basename(dirname($path));
            $station = ctype_digit($number) ? Station::query()->with('zone', 'record')->find((int) $number) : null;
            if ($station === null || time() - (int) filemtime($path) < self::SETTLED) {
                continue;
            }
            try {
                $this->take->execute($station, $path, basename($path));
                self::put($path, 'taken');
                $taken++;
            } catch (FormatError $error) {
                file_put_contents(self::put($path, 'refused').'.txt', Say::phrase($error->why)."\n");
            }
        }

        return $taken;
    }

    public static function folder(): string
    {
        return rtrim((string) config('anthesis.reports'), '/');
    }

    /** @return string where it is now, under a name of its own so no file replaces another */
    private static function put(string $path, string $where): string
    {
        $folder = dirname($path)."/{$where}";
        File::ensureDirectoryExists($folder);
        $to = "{$folder}/".date('Ymd-His').'-'.basename($path);
        for ($n = 2; file_exists($to); $n++) {
            $to = "{$folder}/".date('Ymd-His')."-{$n}-".basename($path);
        }
        rename($path, $to);

        return $to;
    }
}
