<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\LoggedAct;
use App\Operations\FileStore;
use App\People\User;
use App\Sites\Site;
use App\Soil\KeepReading;
use App\Soil\SaveSpot;
use App\Zones\Zone;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/**
 * Imports a table of entries, all of it or nothing. Its rows are checked while nobody waits; only saving them, a second or two, holds the
 * zone's lock. If somebody changes the log in the meantime, the rows are checked again.
 */
final class ImportLogFile
{
    /** How often rows are checked again because the log changed, before they are checked under the lock. */
    private const TRIES = 3;

    /** Rows per statement. */
    private const BATCH = 500;

    public function __construct(private readonly KeepReading $readings, private readonly SaveSpot $spots)
    {
    }

    /**
     * Keeps an uploaded table and queues its import.
     *
     * @throws LogFileRefused if it is not such a table; then nothing is saved
     */
    public function queue(Zone $zone, User $user, UploadedFile $file): LogImport
    {
        $rows = LogTable::rows((string) $file->get());
        $checksum = FileStore::on('originals')->saveUpload($file);
        $import = LogImport::query()->create([
            'zone_id' => $zone->id,
            'user_id' => $user->id,
            'file' => mb_substr(mb_scrub($file->getClientOriginalName()), 0, 200),
            'checksum' => $checksum,
            'state' => LogImportState::Queued,
            'total' => count($rows),
        ]);
        ImportLogJob::dispatch($import->id)->afterCommit();

        return $import;
    }

    /**
     * Carries out an import. Safe to run again after a worker was killed: it saved all of it or nothing, and rows that are already there
     * are skipped.
     */
    public function execute(LogImport $import): void
    {
        try {
            $originals = FileStore::on('originals');
            if (! $originals->isWhole($import->checksum)) {
                throw new LogFileRefused(["The file “{$import->file}” is no longer in storage as it was uploaded. Upload it again."]);
            }
            $saved = $this->save($import, LogTable::rows((string) file_get_contents($originals->path($import->checksum))));
            $import->update(['state' => LogImportState::Done, 'done' => $import->total, 'saved' => $saved]);
        } catch (LogFileRefused $why) {
            $import->update(['state' => LogImportState::Failed, 'faults' => $why->rows]);
        }
    }

    /**
     * @param  list<array{int, array<string, string>}>  $rows
     * @return int number of new entries
     */
    private function save(LogImport $import, array $rows): int
    {
        $zone = $import->zone;
        for ($try = 1; $try <= self::TRIES; $try++) {
            $seen = $this->state($zone);
            $staged = $this->staged($import, $rows);
            $saved = DB::transaction(function () use ($import, $staged, $zone, $seen): ?int {
                Zone::query()->whereKey($zone->id)->lockForUpdate()->first();

                return $this->state($zone) === $seen ? $this->write($import, $staged) : null;
            });
            if ($saved !== null) {
                return $saved;
            }
        }

        return DB::transaction(function () use ($import, $zone, $rows): int {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();

            return $this->write($import, $this->staged($import, $rows));
        });
    }

    /** @param  list<array{int, array<string, string>}>  $rows */
    private function staged(LogImport $import, array $rows): StagedLog
    {
        $staged = StagedLog::of($import->zone, $rows, static function (int $done) use ($import): void {
            $import->update(['done' => $done]);
        });
        if ($staged->faults !== []) {
            throw new LogFileRefused($staged->listedFaults());
        }

        return $staged;
    }

    /** A mark of everything that has happened in a zone's log: any entry changes it, and corrections are entries too. */
    private function state(Zone $zone): string
    {
        return (string) LogEntry::query()->where('zone_id', $zone->id)->max('id').
            ' '.
            Bed::query()->where('zone_id', $zone->id)->max('id');
    }

    private function write(LogImport $import, StagedLog $staged): int
    {
        $site = Site::seenIn($import->zone)->value('id');
        $beds = array_map(
            static fn (array $bed): int => Bed::query()->createOrFirst(['zone_id' => $import->zone_id] + $bed, ['site_id' => $site])->id,
            $staged->newBeds,
        );
        $at = now()->format('Y-m-d H:i:s');
        $ids = $this->writeSowings($import, $staged, $beds, $at);
        $rows = array_map(
            static fn (array $one): array => [
                'idempotency_key' => $one['entry']->key,
                'idempotency_hash' => LogEntry::hashOf($one['entry']->content($import->zone)),
                'zone_id' => $import->zone_id,
                'user_id' => $import->user_id,
                'sowing_id' => $ids[$one['sowing']] ?? $one['sowing'],
                'crop_id' => $one['crop'],
                'bed_id' => $beds[$one['bed']] ?? $one['bed'],
                'act' => $one['entry']->act->value,
                'day' => $one['entry']->on->iso(),
                'told' => json_encode($one['entry']->told, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                'taken_back' => false,
                'source' => 'file',
                'written_at' => $import->created_at->format('Y-m-d H:i:s'),
                'created_at' => $at,
                'updated_at' => $at,
            ],
            $staged->entries,
        );
        foreach (array_chunk($rows, self::BATCH) as $some) {
            LogEntry::query()->insert($some);
        }
        $this->writeReadings($import, $staged, $beds);

        return count($rows);
    }

    /**
     * @param  array<int, int>  $beds  numbers of the new ones
     * @return array<int, int> numbers of the new sowings, by their numbers while staged
     */
    private function writeSowings(LogImport $import, StagedLog $staged, array $beds, string $at): array
    {
        $new = [];
        foreach ($staged->sowings as $number => $sowing) {
            if ($sowing['columns'] === null) {
                continue;
            }
            $columns = $sowing['columns'];
            if (isset($columns['bed_id'])) {
                $columns['bed_id'] = $beds[$columns['bed_id']] ?? $columns['bed_id'];
            }
            if ($number > 0) {
                Sowing::query()->whereKey($number)->update($columns);
            } else {
                $new[$number] = ['idempotency_key' => $sowing['key'], 'zone_id' => $import->zone_id, 'crop_id' => $sowing['crop']] +
                    $columns + ['created_at' => $at, 'updated_at' => $at];
                ksort($new[$number]);
            }
        }
        $ids = [];
        foreach (array_chunk($new, self::BATCH, true) as $some) {
            Sowing::query()->insert(array_values($some));
            $saved = Sowing::query()->whereIn('idempotency_key', array_column($some, 'idempotency_key'))->pluck('id', 'idempotency_key');
            foreach ($some as $number => $row) {
                $ids[$number] = (int) $saved[$row['idempotency_key']];
            }
        }

        return $ids;
    }

    /** @param  array<int, int>  $beds  numbers of the new ones */
    private function writeReadings(LogImport $import, StagedLog $staged, array $beds): void
    {
        $spots = [];
        foreach ($staged->entries as ['entry' => $entry, 'bed' => $number]) {
            if ($entry->act === LoggedAct::Reading) {
                $bed =
                    $number === null
                        ? null
                        : Bed::query()
                            ->with('site')
                            ->find($beds[$number] ?? $number);
                $spots[$number ?? 0] ??= LoggedReading::spot($this->spots, $import->zone, $bed);
                LoggedReading::keep($this->readings, $spots[$number ?? 0], $import->user, $entry);
            }
        }
    }
}
