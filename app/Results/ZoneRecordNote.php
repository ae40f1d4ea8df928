<?php

declare(strict_types=1);

namespace App\Results;

use App\Stations\ZoneRecord;
use App\Zones\Zone;

/**
 * What can be said about a zone's record without reading its thousands of days again. They are read once for each set of stations.
 *
 * @phpstan-type Noted array{first: string, last: string, checksum: string}
 */
final class ZoneRecordNote
{
    /**
     * @return array{years: Noted, whole: Noted}|null the days that windows are based on, and all of them; null if no station has a record
     */
    public static function of(Zone $zone): ?array
    {
        $fingerprint = ZoneRecord::fingerprint($zone);
        if ($fingerprint === null) {
            return null;
        }
        /** @var array{years: Noted, whole: Noted} $note */
        $note = Results::before(ResultKind::Record, [$fingerprint], static function () use ($zone): array {
            $record = ZoneRecord::of($zone);

            return array_map(
                static fn ($days): array => [
                    'first' => $days->first->iso(),
                    'last' => $days->last()->iso(),
                    'checksum' => $days->checksum(),
                ],
                $record === null ? [] : ['years' => $record->used, 'whole' => $record->filled->record],
            );
        });

        return $note;
    }
}
