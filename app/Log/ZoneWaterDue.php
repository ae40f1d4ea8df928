<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Crop\Crop;
use Anthesis\Log\LoggedAct;
use Anthesis\Record\Day;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Ground;
use App\Crops\ZoneCrops;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Zones\Zone;
use Illuminate\Support\Collection;

/** Which of the plantings that the log says are growing need water, bed by bed. */
final readonly class ZoneWaterDue
{
    private const MOST = 200;

    private const CM_PER_M = 100;

    public function __construct(private PlaceOf $places)
    {
    }

    /** @return list<array<string, mixed>> as the contract's BedWater, those due first; empty without recent rain on record */
    public function of(Zone $zone, Day $today): array
    {
        $place = $this->places->today($zone, $today);
        if ($place === null || $place->years->days()->rain === null || ThisSeason::lacks($place) !== null) {
            return [];
        }
        $sowings = Sowing::underWay($zone, $today)
            ->with(['crop.varieties', 'bed.site'])
            ->limit(self::MOST)
            ->get()
            ->filter(static fn (Sowing $s): bool => $s->inGroundOn() !== null);
        $book = ZoneCrops::of($zone);
        $crops = $sowings->map(static fn (Sowing $s): Crop => $book->named($s->crop, $s->variety));
        $entries = self::entries($zone, $today);
        $answers = Results::each(
            $place,
            $sowings
                ->map(static fn (Sowing $s, int $i): WaterDueQuestion => new WaterDueQuestion(
                    $s->bed?->site?->toCore() ?? $place->site(),
                    $crops[$i],
                    $s->route(),
                    $s->inGroundOn() ?? $today,
                    Sowing::dayOf($s->up_on),
                    self::given($entries, $s),
                    self::caught($entries, $s->bed?->garden),
                ))
                ->all(),
        );
        $told = $sowings->filter(static fn (Sowing $s, int $i): bool => $answers[$i]['water'] !== null);

        return $told
            ->groupBy(static fn (Sowing $s): int => $s->bed_id ?? 0, true)
            ->map(static fn (Collection $here): array => self::bed($here, $answers, $crops, $entries))
            ->sortBy(static fn (array $bed): string => $bed['sowings'][0]['water']['day'] ?? '9')
            ->values()
            ->all();
    }

    /** @return Collection<int, LogEntry> waterings and what gauges caught, on the days that a season looks back on */
    private static function entries(Zone $zone, Day $today): Collection
    {
        return LogEntry::standing($zone)
            ->whereIn('act', [LoggedAct::Watered, LoggedAct::Gauge])
            ->whereBetween('day', [$today->plus(-Sowing::FORGOTTEN_DAYS)->iso(), $today->iso()])
            ->with('bed')
            ->get();
    }

    /**
     * @param  Collection<int, LogEntry>  $entries
     * @return array<string, float|null> mm of the waterings of a planting's bed by date; null: as much as it took
     */
    private static function given(Collection $entries, Sowing $sowing): array
    {
        $given = [];
        foreach ($entries as $entry) {
            if ($entry->act !== LoggedAct::Watered || $entry->bed_id === null || $entry->bed_id !== $sowing->bed_id) {
                continue;
            }
            $day = $entry->day->format('Y-m-d');
            $before = array_key_exists($day, $given) ? $given[$day] : 0.0;
            $mm = $entry->told['mm'] ?? null;
            $given[$day] = $mm === null || $before === null ? null : $before + $mm;
        }

        return $given;
    }

    /**
     * @param  Collection<int, LogEntry>  $entries
     * @return array<string, float> mm that a garden's gauges caught, by date; a gauge is emptied when it is read, so readings add up
     */
    private static function caught(Collection $entries, ?string $garden): array
    {
        $caught = [];
        foreach ($entries as $entry) {
            if ($garden !== null && $entry->act === LoggedAct::Gauge && $entry->bed?->garden === $garden) {
                $day = $entry->day->format('Y-m-d');
                $caught[$day] = ($caught[$day] ?? 0.0) + (float) ($entry->told['mm'] ?? 0.0);
            }
        }

        return $caught;
    }

    /**
     * @param  Collection<int, Sowing>  $sowings  in one bed, by the key of their answers
     * @param  array<int, array<string, mixed>>  $answers
     * @param  Collection<int, Crop>  $crops
     * @param  Collection<int, LogEntry>  $entries
     * @return array<string, mixed> as the contract's BedWater
     */
    private static function bed(Collection $sowings, array $answers, Collection $crops, Collection $entries): array
    {
        $first = $sowings->firstOrFail();
        $waterings = $entries->where('act', LoggedAct::Watered)->where('bed_id', $first->bed_id ?? -1);

        return [
            'bed' => $first->bed?->told(),
            'ground' => $first->bed->site->ground ?? Ground::DEFAULT,
            'last' => $waterings->last()?->day->format('Y-m-d'),
            'sowings' => $sowings
                ->map(static function (Sowing $s, int $i) use ($answers, $crops): array {
                    $metres = $s->metres;
                    $area = $metres === null ? null : ($metres * ($crops[$i]->spacing->rowCm)) / self::CM_PER_M;

                    return [
                        'key' => $s->idempotency_key,
                        'name' => $s->crop->cells['name'],
                        'variety' => $s->variety,
                        'metres' => $metres,
                        'litres' => $area === null ? null : round($answers[$i]['water']['mm'] * $area, 1),
                        'water' => $answers[$i]['water'],
                    ];
                })
                ->sortBy(static fn (array $told): string => $told['water']['day'] ?? '9')
                ->values()
                ->all(),
        ];
    }
}
