<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\YearRuler;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Crop\Crop;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Window\PlaceEvidence;
use App\Crops\Crop as CropModel;
use App\Sites\Site;
use App\Zones\Zone;

/** Computes the year ruler and the climate sheet of a zone from a record, and keeps both. */
final class ComputeClimate
{
    /**
     * @return array{ruler: string, climate: string} fingerprints the results lie under
     *
     * @throws RecordTooShort
     */
    public function execute(Zone $zone, DailyRecord $record): array
    {
        $latitude = Latitude::of($zone->latitude);
        $sites = Site::forZone($zone);
        $crops = CropModel::book();
        $place = ['record' => $record->checksum(), 'latitude' => $latitude->degrees, 'site' => $sites[0]];
        $soils = array_map(static fn (Crop $c): array => [$c->convention->soilMinSowC, $c->convention->soilMinSetOutC], $crops);
        $evidence = null;
        $see = static function () use (&$evidence, $record, $latitude, $sites): PlaceEvidence {
            return $evidence ??= PlaceEvidence::of($record, $latitude, $sites[0]);
        };

        return [
            'ruler' => Results::remember(Result::RULER, Result::hashOf(Result::RULER, $place),
                static fn (): array => YearRuler::of($record, $see())),
            'climate' => Results::remember(Result::CLIMATE, Result::hashOf(Result::CLIMATE, [$place, $sites, $soils]),
                static fn (): array => ClimateSheet::of($record, $see(), $crops, $sites)),
        ];
    }
}
