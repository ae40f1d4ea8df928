<?php

declare(strict_types=1);

namespace App\Actions;

use Anthesis\Calendar\CropSheet;
use Anthesis\Crop\Crop;
use Anthesis\Exchange\CropCsv;
use Anthesis\Record\Latitude;
use Anthesis\Record\RecordTooShort;
use Anthesis\Window\CountBack;
use Anthesis\Window\CountBackSettings;
use Anthesis\Window\PlaceEvidence;
use App\Models\Computation;
use App\Models\Result;
use App\Models\Site;
use App\Support\Results;
use App\Support\ZoneRecord;

/**
 * Computes the climate and every crop's windows of a zone, and keeps each under a fingerprint of what it was computed
 * from. What is there already is not computed again.
 */
final class ComputeZone
{
    private const SCHOOL = 'count-back';

    /** Progress is told each time this many crops are done. */
    private const PROGRESS_STEP = 10;

    public function __construct(private readonly ComputeClimate $climate)
    {
    }

    /** @throws RecordTooShort when the record holds too little to compute from */
    public function execute(Computation $computation, ZoneRecord $record): void
    {
        $settings = CountBackSettings::conventional();
        $zone = $computation->zone;
        $latitude = Latitude::of($zone->latitude);
        $site = Site::forZone($zone)[0];
        $crops = CropCsv::standard()->crops;
        $method = [
            'school' => self::SCHOOL,
            'spring_risk' => $settings->springRisk->chance,
            'autumn_risk' => $settings->autumnRisk->chance,
            'hold_for_soil' => $settings->holdForSoil,
            'short_day_allowance' => $settings->shortDayAllowance,
            'site' => $site->name,
        ];
        $place = ['record' => $record->used->checksum(), 'latitude' => $latitude->degrees, 'site' => $site];
        $sheetHashes = [];
        foreach ($crops as $crop) {
            $sheetHashes[$crop->slug] = Result::hashOf(Result::SHEET, [$place, $method, $crop->checksum()]);
        }

        $computation->update(['step' => 'reading the freezes, the soil and the light', 'done' => 0, 'total' => count($crops), 'record' => $record->note()]);
        $climate = $this->climate->execute($zone, $record->used);
        $known = array_flip(Result::query()->whereIn('hash', array_values($sheetHashes))->pluck('hash')->all());
        if (count($known) < count($crops)) {
            $this->keepSheets($computation, $crops, $sheetHashes, $known, new CountBack(PlaceEvidence::of($record->used, $latitude, $site), $settings));
        }
        $computation->update([
            'state' => Computation::DONE,
            'step' => 'done',
            'done' => count($crops),
            'method' => $method,
            'ruler_hash' => $climate['ruler'],
            'climate_hash' => $climate['climate'],
            'sheet_hashes' => $sheetHashes,
            'finished_at' => now(),
        ]);
    }

    /**
     * @param  list<Crop>  $crops
     * @param  array<string, string>  $hashes  by crop
     * @param  array<string, int>  $known
     */
    private function keepSheets(Computation $computation, array $crops, array $hashes, array $known, CountBack $countBack): void
    {
        foreach (array_chunk($crops, self::PROGRESS_STEP) as $i => $chunk) {
            $sheets = [];
            foreach ($chunk as $crop) {
                if (! isset($known[$hashes[$crop->slug]])) {
                    $sheets[] = [$hashes[$crop->slug], Result::SHEET, CropSheet::of($crop, self::SCHOOL, $countBack->windows($crop))];
                }
            }
            Results::keep($sheets);
            $computation->update(['step' => 'working out the windows', 'done' => $i * self::PROGRESS_STEP + count($chunk)]);
        }
    }
}
