<?php

declare(strict_types=1);

namespace App\Log;

use App\Office\Preferences;
use App\Operations\NamedLock;
use App\Operations\OfficeInUse;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Imports an uploaded table of log entries. Safe to run again after a worker was killed. */
final class ImportLogJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public int $backoff = 5;

    public function __construct(private readonly int $importId)
    {
    }

    /** The lock that the worker on an import holds. */
    public static function lockOf(int $importId): string
    {
        return "log-import-{$importId}";
    }

    public function handle(ImportLogFile $import): void
    {
        $lock = NamedLock::take(self::lockOf($this->importId));
        if ($lock === null) {
            return;
        }
        try {
            $row = LogImport::query()
                ->with(['zone', 'user'])
                ->find($this->importId);
            if ($row === null || ! in_array($row->state, [LogImportState::Queued, LogImportState::Running], true)) {
                return;
            }
            $row->update(['state' => LogImportState::Running, 'attempts' => $row->attempts + 1]);
            // Changing somebody else's entry depends on the person's role in this office.
            OfficeInUse::within($row->zone->office_id, static function () use ($row, $import): void {
                if ($row->user !== null) {
                    Preferences::of($row->user)->speak();
                }
                $import->execute($row);
            });
        } finally {
            $lock->release();
        }
    }

    public function failed(?Throwable $error): void
    {
        LogImport::query()
            ->whereKey($this->importId)
            ->whereIn('state', [LogImportState::Queued, LogImportState::Running])
            ->update([
                'state' => LogImportState::Failed,
                'faults' => json_encode([
                    'Something went wrong on our side. Nothing was saved. Upload the table again, and tell your administrator if it keeps happening.',
                ]),
            ]);
    }
}
