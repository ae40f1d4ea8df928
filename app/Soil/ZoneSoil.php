<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Soil\ProbeCalibration;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use App\Results\PlaceOf;
use App\Zones\Zone;

/** What was read at the spots of a zone, and how it compares with the model and with normal. */
final readonly class ZoneSoil
{
    /** Days the chart goes back. */
    private const DAYS = 42;

    /** The most readings listed for a spot. */
    private const TOLD = 60;

    /** Days for which a reading says what the soil is like. */
    private const FRESH = 3;

    public function __construct(private PlaceOf $places, private ProbeSource $probe)
    {
    }

    /** @return array<string, mixed> as the contract's Soil */
    public function of(Zone $zone, Day $today): array
    {
        $place = $this->places->zone($zone);
        $spots = SoilSpot::query()
            ->with(['site', 'readings' => static fn ($q) => $q->with('user')->limit(self::TOLD)])
            ->where('zone_id', $zone->id)
            ->orderBy('id')
            ->get();

        return [
            'today' => $today->iso(),
            'depth' => Site::DEPTH,
            'days' => $place === null ? null : self::days($place, $today),
            'probe' => $this->probe->name(),
            'spots' => array_values($spots->map(static fn (SoilSpot $spot): array => self::spot($spot, $place, $today))->all()),
        ];
    }

    /** @return array{first: string, model: list<float|null>, usual: list<float>} for open ground */
    private static function days(Place $place, Day $today): array
    {
        $record = $place->years->days();
        $soil = SoilTemperature::of($record, $place->latitude, Site::openGround());
        $normals = $soil->normals()->values;
        $first = $today->plus(1 - self::DAYS);
        $model = $usual = [];
        for ($i = 0; $i < self::DAYS; $i++) {
            $day = $first->plus($i);
            $at = $soil->dailyMean[$day->number - $record->first->number] ?? null;
            $model[] = $at === null ? null : round($at, 2);
            $usual[] = round($normals[$day->yearDay()->number - 1], 2);
        }

        return ['first' => $first->iso(), 'model' => $model, 'usual' => $usual];
    }

    /** @return array<string, mixed> as the contract's SoilSpot */
    private static function spot(SoilSpot $spot, ?Place $place, Day $today): array
    {
        $latest = $spot->readings->firstWhere('withdrawn_at', null);
        $now =
            $latest === null || $place === null
                ? null
                : self::now($latest, $place->years->days(), $place->latitude, $spot->site?->toCore() ?? Site::openGround());

        return [
            'id' => $spot->id,
            'name' => $spot->name,
            'site' => $spot->site === null ? null : ['id' => $spot->site->id, 'name' => $spot->site->name],
            'now' => $now,
            'open' => $now === null || Day::fromIso($now['on'])->number < $today->number - self::FRESH
                    ? []
                    : self::apart($place->book->crops(), $now['reading'], $now['model']),
            'readings' => array_values(
                $spot->readings
                    ->map(
                        static fn (SoilReading $r): array => [
                            'id' => $r->id,
                            'on' => $r->day->format('Y-m-d'),
                            'hour' => $r->hour,
                            'depth' => $r->depth,
                            'celsius' => round($r->celsius, 1),
                            'within' => $r->within,
                            'figures' => $r->figures,
                            'source' => $r->source,
                            'author' => $r->user?->name,
                            'withdrawn' => $r->withdrawn_at !== null,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * @return array{on: string, celsius: float, reading: float, model: float, usual: float}|null null if no weather close enough is on
     *   record
     */
    private static function now(SoilReading $latest, DailyRecord $record, Latitude $latitude, Site $site): ?array
    {
        $reading = $latest->toCore();
        $site = $site->atDepth($reading->depth);
        $soil = SoilTemperature::of($record, $latitude, $site);
        // Today's weather is on record tomorrow; until then, yesterday's is used.
        $i = $reading->day->number - $record->first->number;
        $i = $i === $record->days() ? $i - 1 : $i;
        [$low, $high, $model] = [$record->minimum[$i] ?? null, $record->maximum[$i] ?? null, $soil->dailyMean[$i] ?? null];
        if ($low === null || $high === null || $model === null) {
            return null;
        }

        return [
            'on' => $reading->day->iso(),
            'celsius' => round($reading->celsius, 1),
            'reading' => round(ProbeCalibration::dailyMean($reading, $low, $high, $site), 1),
            'model' => round($model, 1),
            'usual' => round($soil->normals()->values[$reading->day->yearDay()->number - 1], 1),
        ];
    }

    /**
     * @param  list<Crop>  $crops
     * @return list<array<string, mixed>> crops for which the reading and the model lead to different answers
     */
    private static function apart(array $crops, float $reading, float $model): array
    {
        $apart = [];
        foreach ($crops as $crop) {
            foreach ($crop->routes as $route) {
                $asked = $crop->soilMinimum($route);
                if ($asked !== null && $reading >= $asked !== $model >= $asked) {
                    $apart[] = [
                        'crop' => $crop->slug,
                        'name' => $crop->name,
                        'route' => $route->value,
                        'act' => $crop->act($route)->value,
                        'soil_min' => $asked,
                        'warm_enough' => $reading >= $asked,
                    ];
                }
            }
        }

        return $apart;
    }
}
