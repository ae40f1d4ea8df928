<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use App\Crops\Crop;
use App\Crops\ZoneCrops;
use App\Log\Bed;
use App\People\User;
use App\Results\PlaceOf;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Creates a trial's plan: a plot for each repeat of each variety in each wave, with what the record leads us to expect. Sent twice, it is
 * created once.
 */
final readonly class PlanTrial
{
    public function __construct(private PlaceOf $places)
    {
    }

    /**
     * @param  list<array{name: string, on: Day}>  $waves
     * @param  list<string|null>  $varieties  null: the crop itself
     * @param  list<array{garden: string, name: string}>  $beds  the repeats are spread over them; empty: anywhere
     */
    public function execute(
        Zone $zone,
        User $user,
        string $key,
        Crop $crop,
        Route $route,
        string $measuredIn,
        string $question,
        array $waves,
        array $varieties,
        int $repeats,
        array $beds,
    ): Trial {
        $expected = $this->expected($zone, $crop, $route, $waves, $varieties);

        $own = ['route' => $route->value, 'measured_in' => $measuredIn, 'question' => $question];
        $content = [
            'zone' => $zone->id,
            'crop' => $crop->slug,
            'varieties' => $varieties,
            'repeats' => $repeats,
            'beds' => $beds,
            'waves' => array_map(static fn (array $w): array => [$w['name'], $w['on']->iso()], $waves),
        ];
        $columns = ['zone_id' => $zone->id, 'crop_id' => $crop->id, 'user_id' => $user->id];

        $lay = static fn (Trial $trial) => self::lay($trial, $zone, $waves, $varieties, $repeats, $beds, $expected);

        return DB::transaction(static function () use ($key, $own, $content, $columns, $lay): Trial {
            $trial = Trial::saveOnce($key, $own + $content, $own + $columns);
            if ($trial->wasRecentlyCreated) {
                $lay($trial);
            }

            return $trial;
        });
    }

    /**
     * A plot for each repeat of each variety in each wave.
     *
     * @param  list<array{name: string, on: Day}>  $waves
     * @param  list<string|null>  $varieties
     * @param  list<array{garden: string, name: string}>  $beds
     * @param  array<int, array<int, array<string, mixed>|null>>  $expected  by wave and variety
     */
    private static function lay(Trial $trial, Zone $zone, array $waves, array $varieties, int $repeats, array $beds, array $expected): void
    {
        $ids = array_map(
            static fn (array $b): int => Bed::query()->createOrFirst(
                ['zone_id' => $zone->id, 'garden' => $b['garden'], 'name' => $b['name']],
                ['site_id' => Site::seenIn($zone)->value('id')],
            )->id,
            $beds,
        );
        foreach ($waves as $w => $wave) {
            foreach ($varieties as $v => $variety) {
                for ($repeat = 1; $repeat <= $repeats; $repeat++) {
                    TrialPlot::query()->create([
                        'trial_id' => $trial->id,
                        'bed_id' => $ids === [] ? null : $ids[($repeat - 1) % count($ids)],
                        'wave' => $wave['name'],
                        'variety' => $variety,
                        'repeat' => $repeat,
                        'planned_on' => $wave['on']->iso(),
                        'expected' => $expected[$w][$v] ?? null,
                    ]);
                }
            }
        }
    }

    /**
     * @param  list<array{name: string, on: Day}>  $waves
     * @param  list<string|null>  $varieties
     * @return array<int, array<int, array{harvests: float, of: int, first: list<string>|null}>> by wave and variety; empty without a record
     */
    private function expected(Zone $zone, Crop $crop, Route $route, array $waves, array $varieties): array
    {
        $place = $this->places->zone($zone);
        if ($place === null) {
            return [];
        }
        $replay = Replay::ofPlace($place);
        $book = ZoneCrops::of($zone);
        $expected = [];
        foreach ($varieties as $v => $variety) {
            $ribbon = OutcomeRibbon::of($replay->runs($book->named($crop->loadMissing('varieties'), $variety), $route));
            foreach ($waves as $w => $wave) {
                $day = $wave['on']->yearDay();
                $waits = $ribbon->daysToHarvest($day);
                $expected[$w][$v] = [
                    'harvests' => round($ribbon->reliability[$day->number - 1], 3),
                    'of' => $ribbon->years[$day->number - 1],
                    'first' => $waits === null
                            ? null
                            : array_map(static fn (int $days): string => $wave['on']->plus($days)->iso(), [
                                $waits[0],
                                $waits[1],
                                $waits[2],
                            ]),
                ];
            }
        }

        return $expected;
    }
}
