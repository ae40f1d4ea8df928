<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;

/**
 * Compresses large logs of the programs, and keeps the last few. The programs keep them open, so they are copied and emptied, not renamed.
 * The application's own log starts a new file each day.
 */
class RotateLogs extends Command
{
    private const LARGE = 10 << 20;

    private const KEPT = 5;

    protected $signature = 'anthesis:rotate-logs {--larger-than= : bytes; left out: 10 MiB} {--in= : the folder; left out: storage/logs}';

    protected $description = 'Compress large logs of the programs, and delete the oldest';

    public function handle(): int
    {
        $large = (int) ($this->option('larger-than') ?? self::LARGE);
        clearstatcache();
        foreach (glob(($this->option('in') ?? storage_path('logs')).'/*.log') ?: [] as $path) {
            if (! str_starts_with(basename($path), 'laravel-') && filesize($path) > $large) {
                $this->putAside($path);
                $this->line(basename($path).' was put aside');
            }
        }

        return self::SUCCESS;
    }

    private function putAside(string $path): void
    {
        @unlink("{$path}.".self::KEPT.'.gz');
        for ($n = self::KEPT - 1; $n >= 1; $n--) {
            @rename("{$path}.{$n}.gz", "{$path}.".($n + 1).'.gz');
        }
        $in = fopen($path, 'rb');
        $out = gzopen("{$path}.1.gz.new", 'wb6');
        if ($in === false || $out === false) {
            $this->error("{$path} cannot be set aside");

            return;
        }
        while (! feof($in)) {
            gzwrite($out, (string) fread($in, 1 << 16));
        }
        fclose($in);
        gzclose($out);
        rename("{$path}.1.gz.new", "{$path}.1.gz");
        // Whatever is written in this moment is lost. The programs append, so they continue at the new beginning.
        file_put_contents($path, '');
    }
}
