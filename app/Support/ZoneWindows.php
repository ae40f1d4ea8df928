<?php

declare(strict_types=1);

namespace App\Support;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\YearRuler;
use App\Models\Result;
use App\Models\Zone;

/**
 * The results of a zone's current computation, read back whole.
 *
 * @phpstan-import-type Ruler from YearRuler
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type Method from EditionDocument
 * @phpstan-import-type RecordNote from EditionDocument
 */
final readonly class ZoneWindows
{
    /**
     * @param  Method  $method
     * @param  RecordNote  $record
     * @param  Ruler  $ruler
     * @param  list<Sheet>  $sheets  in the order of the crop table
     */
    private function __construct(
        public string $zone,
        public string $computedAt,
        public array $method,
        public array $record,
        public array $ruler,
        public array $sheets,
    ) {
    }

    /** @return self|null null when the zone has not been computed yet */
    public static function of(Zone $zone): ?self
    {
        $computation = $zone->currentComputation;
        if ($computation === null || $computation->record === null || $computation->ruler_hash === null || $computation->method === null) {
            return null;
        }
        $hashes = $computation->sheet_hashes ?? [];
        /** @var array<string, Result> $results */
        $results = Result::query()->whereIn('hash', [$computation->ruler_hash, ...array_values($hashes)])->get()->keyBy('hash')->all();
        /** @var Ruler $ruler */
        $ruler = $results[$computation->ruler_hash]->content();
        $sheets = [];
        foreach ($hashes as $hash) {
            /** @var Sheet $sheet */
            $sheet = $results[$hash]->content();
            $sheets[] = $sheet;
        }

        return new self($zone->slug, (string) $computation->finished_at?->toIso8601String(), $computation->method, $computation->record, $ruler, $sheets);
    }

    /** @return Sheet|null */
    public static function sheetOf(Zone $zone, string $crop): ?array
    {
        $hash = $zone->currentComputation->sheet_hashes[$crop] ?? null;
        /** @var Sheet|null $sheet */
        $sheet = $hash === null ? null : Result::query()->find($hash)?->content();

        return $sheet;
    }
}
