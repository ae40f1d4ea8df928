<?php

declare(strict_types=1);

namespace App\Actions;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\YearRuler;
use Anthesis\Crop\Crop;
use Anthesis\Exchange\CropCsv;
use Anthesis\Record\Latitude;
use Anthesis\Record\RecordTooShort;
use Anthesis\Soil\Site;
use Anthesis\Window\CountBack;
use Anthesis\Window\CountBackSettings;
use Anthesis\Window\PlaceEvidence;
use App\Models\Computation;
use App\Models\Result;
use App\Models\StationRecord;
use Closure;

/**
 * Computes the year ruler and every crop's windows of a zone, and keeps each under a fingerprint of what it was computed
 * from. What is there already is not computed again.
 */
final class ComputeZone
{
    private const SCHOOL = 'count-back';

    /** Progress is told each time this many crops are done. */
    private const PROGRESS_STEP = 10;

    /** @throws RecordTooShort when the record holds too little to compute from */
    public function execute(Computation $computation, StationRecord $record): void
    {
        $settings = CountBackSettings::conventional();
        $site = Site::openGround();
        $method = [
            'school' => self::SCHOOL,
            'spring_risk' => $settings->springRisk->chance,
            'autumn_risk' => $settings->autumnRisk->chance,
            'hold_for_soil' => $settings->holdForSoil,
            'short_day_allowance' => $settings->shortDayAllowance,
            'site' => $site->name,
        ];
        $latitude = Latitude::of($computation->zone->latitude);
        $crops = CropCsv::standard()->crops;
        $usable = $record->usable();
        $place = ['record' => $usable->checksum(), 'latitude' => $latitude->degrees, 'site' => $site];
        $rulerHash = Result::hashOf(Result::RULER, $place);
        $climateHash = Result::hashOf(Result::CLIMATE, [$place, array_map(static fn (Crop $c): array => [$c->soilMinSowC, $c->soilMinSetOutC], $crops)]);
        $sheetHashes = [];
        foreach ($crops as $crop) {
            $sheetHashes[$crop->slug] = Result::hashOf(Result::SHEET, [$place, $method, $crop->checksum()]);
        }
        $known = array_flip(Result::query()->whereIn('hash', [$rulerHash, $climateHash, ...array_values($sheetHashes)])->pluck('hash')->all());

        $computation->update(['step' => 'reading the freezes, the soil and the light', 'done' => 0, 'total' => count($crops), 'record_id' => $record->id]);
        if (count($known) < count($crops) + 2) {
            $evidence = PlaceEvidence::of($usable, $latitude, $site);
            $this->keepUnless($known, $rulerHash, Result::RULER, static fn (): array => YearRuler::of($usable, $evidence));
            $this->keepUnless($known, $climateHash, Result::CLIMATE, static fn (): array => ClimateSheet::of($usable, $evidence, $crops));
            $this->keepSheets($computation, $crops, $sheetHashes, $known, new CountBack($evidence, $settings));
        }
        $computation->update([
            'state' => Computation::DONE,
            'step' => 'done',
            'done' => count($crops),
            'method' => $method,
            'ruler_hash' => $rulerHash,
            'climate_hash' => $climateHash,
            'sheet_hashes' => $sheetHashes,
            'finished_at' => now(),
        ]);
    }

    /**
     * @param  array<string, int>  $known
     * @param  Closure(): array<string, mixed>  $compute
     */
    private function keepUnless(array $known, string $hash, string $kind, Closure $compute): void
    {
        if (! isset($known[$hash])) {
            $this->keep([[$hash, $kind, $compute()]]);
        }
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
            $this->keep($sheets);
            $computation->update(['step' => 'working out the windows', 'done' => $i * self::PROGRESS_STEP + count($chunk)]);
        }
    }

    /** @param  list<array{string, string, array<string, mixed>}>  $results hash, kind, content */
    private function keep(array $results): void
    {
        Result::query()->insertOrIgnore(array_map(static fn (array $r): array => [
            'hash' => $r[0],
            'kind' => $r[1],
            'payload' => json_encode($r[2], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        ], $results));
    }
}
