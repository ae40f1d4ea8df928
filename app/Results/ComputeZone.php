<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Place\Place;
use Anthesis\Replay\Replay;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\FromReplay;
use Anthesis\Words\Phrase;
use App\Stations\ZoneRecord;
use App\Zones\Computation;
use App\Zones\ComputationState;

/**
 * Computes the climate of a zone and, at one site, every crop by both methods, and keeps each under a fingerprint of its inputs. What is
 * already there is not computed again, so an edited crop only costs that crop.
 */
final class ComputeZone
{
    public function __construct(private readonly PlaceOf $places)
    {
    }

    /** @throws RecordTooShort if the record is too short to compute from */
    public function execute(Computation $computation, ZoneRecord $record): void
    {
        $settings = CountBackSettings::conventional();
        $place = $this->places->zone($computation->zone) ?? throw new RecordTooShort(Phrase::of('error.no-record'));
        $here = $place->at($computation->site?->toCore() ?? $place->site());
        $crops = $place->book->crops();
        $dossiers = [];
        foreach ($crops as $crop) {
            $dossiers[$crop->slug] = new DossierQuestion($crop, $settings, remedies: $computation->site === null);
        }
        $hashes = Results::fingerprints($here, $dossiers);

        $computation->update(['step' => 'climate', 'done' => 0, 'total' => count($crops), 'record' => $record->note()]);
        $climate = Results::keep($place, ['ruler' => new RulerQuestion(), 'climate' => ClimateQuestion::for($place)]);
        // What is used again is marked as used, so nothing deletes it in the meantime.
        foreach (Results::makeMany($here, Results::unknown($dossiers, $hashes)) as $done) {
            $computation->update(['step' => 'replay', 'done' => $done]);
            if ($computation->refresh()->state === ComputationState::Cancelled) {
                return;
            }
        }
        $this->finish(
            $computation,
            PlaceEvidence::ofPlace($here)->freeze(FreezeThreshold::LightFreeze),
            self::method($settings, $here),
            $climate,
            $hashes,
        );
    }

    /** @return array{edition: int, light: string, spring_risk: float, autumn_risk: float, hold_for_soil: bool, short_day_allowance: int, waits_for_soil: bool, waits_for_ground: bool, site: string} */
    private static function method(CountBackSettings $settings, Place $place): array
    {
        return [
            'edition' => Replay::METHOD_EDITION,
            'light' => $place->light->value,
            'spring_risk' => $settings->springRisk->chance,
            'autumn_risk' => $settings->autumnRisk->chance,
            'hold_for_soil' => $settings->holdForSoil,
            'short_day_allowance' => $settings->shortDayAllowance,
            'waits_for_soil' => $place->waitsForSoil,
            'waits_for_ground' => $place->waitsForGround,
            'site' => $place->site()->name,
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
            'state' => ComputationState::Done,
            'step' => 'done',
            'done' => count($hashes),
            // A short record does not say much when replayed; counting back needs less of it.
            'method' => ['school' => $freezes->isShort() ? CountBack::KEY : FromReplay::KEY] + $method,
            'ruler_hash' => $climate['ruler'],
            'climate_hash' => $climate['climate'],
            'sheet_hashes' => $hashes,
            'finished_at' => now(),
        ]);
    }
}
