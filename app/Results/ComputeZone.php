<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Variety as CoreVariety;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Replay;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Schools;
use Anthesis\Window\School\WaysOut;
use App\Crops\ZoneCrops;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Computation;

/**
 * Computes the climate of a zone and, at one site, every crop by both schools, and keeps each under a fingerprint of what it
 * was computed from. What is there already is not computed again, so that an edited crop costs that crop alone.
 */
final class ComputeZone
{
    /** Results are kept, progress told and a cancelling seen each time this many crops are done. */
    private const STEP = 10;

    public function __construct(private readonly ComputeClimate $climate)
    {
    }

    /** @throws RecordTooShort when the record holds too little to compute from */
    public function execute(Computation $computation, ZoneRecord $record): void
    {
        $settings = CountBackSettings::conventional();
        $zone = $computation->zone;
        $latitude = Latitude::of($zone->latitude);
        $site = $computation->site === null ? Site::forZone($zone)[0] : $computation->site->toCore();
        $light = LightSchool::from($zone->light);
        $book = ZoneCrops::of($zone);
        $crops = $book->book();
        $varieties = $book->varieties();
        $method = self::method($settings, $light, $site->name);
        $place = ['record' => $record->used->checksum(), 'latitude' => $latitude->degrees, 'site' => $site];
        $hashes = [];
        foreach ($crops as $crop) {
            $own = array_map(static fn (CoreVariety $v): array => [$v->name, $v->tags, $v->crop->checksum()], $varieties[$crop->slug] ?? []);
            $hashes[$crop->slug] = Result::hashOf(Result::SHEET, [$place, $method, $crop->checksum(), CropSheet::identity($crop), $own]);
        }

        $computation->update(['step' => 'climate', 'done' => 0, 'total' => count($crops), 'record' => $record->note()]);
        $climate = $this->climate->execute($zone, $record->used);
        $known = array_flip(Result::query()->whereIn('hash', array_values($hashes))->pluck('hash')->all());
        // What is leaned on anew is young again, so that nothing puts it away meanwhile.
        Result::query()->whereIn('hash', [...array_values($climate), ...array_keys($known)])->update(['created_at' => now()]);
        $missing = array_values(array_filter($crops, static fn (Crop $c): bool => ! isset($known[$hashes[$c->slug]])));
        $evidence = PlaceEvidence::of($record->used, $latitude, $site);
        $schools = $missing === [] ? null : Schools::on(new Grounds($evidence, ZoneReplay::of($zone, $record, $site), $settings, $computation->site === null ? new WaysOut : null));
        foreach (array_chunk($missing, self::STEP) as $chunk) {
            if ($computation->refresh()->state === Computation::CANCELLED) {
                return;
            }
            $results = [];
            foreach ($chunk as $crop) {
                $results[] = [$hashes[$crop->slug], Result::SHEET, CropDossier::of($crop, $schools, $varieties[$crop->slug] ?? [])];
            }
            Results::keep($results);
            $computation->update(['step' => 'replay', 'done' => min(count($crops), $computation->done + count($chunk))]);
        }
        $this->finish($computation, $evidence->freeze(FreezeThreshold::LightFreeze), $method, $climate, $hashes);
    }

    /** @return array{edition: int, light: string, spring_risk: float, autumn_risk: float, hold_for_soil: bool, short_day_allowance: int, site: string} */
    private static function method(CountBackSettings $settings, LightSchool $light, string $site): array
    {
        return [
            'edition' => Replay::METHOD_EDITION,
            'light' => $light->value,
            'spring_risk' => $settings->springRisk->chance,
            'autumn_risk' => $settings->autumnRisk->chance,
            'hold_for_soil' => $settings->holdForSoil,
            'short_day_allowance' => $settings->shortDayAllowance,
            'site' => $site,
        ];
    }

    /**
     * @param  array<string, mixed>  $method
     * @param  array{ruler: string, climate: string}  $climate
     * @param  array<string, string>  $hashes  by crop
     */
    private function finish(Computation $computation, FreezeStatistics $freezes, array $method, array $climate, array $hashes): void
    {
        $computation->update([
            'cold_seasons' => $freezes->count(),
            'state' => Computation::DONE,
            'step' => 'done',
            'done' => count($hashes),
            // A short record cannot be replayed to much effect; counting back needs less of it.
            'method' => ['school' => $freezes->isShort() ? CountBack::KEY : FromReplay::KEY] + $method,
            'ruler_hash' => $climate['ruler'],
            'climate_hash' => $climate['climate'],
            'sheet_hashes' => $hashes,
            'finished_at' => now(),
        ]);
    }
}
