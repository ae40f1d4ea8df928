<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\EditionDocument;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/**
 * What is told of a zone's record, without reading its thousands of days again: they are read once for what they are made of.
 *
 * @phpstan-import-type RecordNote from EditionDocument
 */
final class ZoneRecordNote
{
    /** @return RecordNote|null null without a station that has a record */
    public static function of(Zone $zone): ?array
    {
        $fingerprint = ZoneRecord::fingerprint($zone);
        if ($fingerprint === null) {
            return null;
        }
        $hash = Results::remember(Result::RECORD, Result::hashOf(Result::RECORD, [$fingerprint]), static fn (): array => ZoneRecord::of($zone)?->note() ?? []);
        /** @var RecordNote $note */
        $note = Result::query()->findOrFail($hash)->content();

        return $note;
    }
}
