<?php

declare(strict_types=1);

namespace Database\Seeders;

use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Run;
use App\Crops\Crop;
use App\Crops\ZoneCrops;
use App\Cues\SaveCuePlant;
use App\Ground\SaveBed;
use App\Ground\SavePlantings;
use App\Ground\SavePrice;
use App\Log\Bed;
use App\Log\LoggedEntry;
use App\Log\RecordEntry;
use App\Operations\Today;
use App\People\User;
use App\Results\PlaceOf;
use App\Season\SaveHarvestPlan;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Trials\CloseTrial;
use App\Trials\PlanTrial;
use App\Trials\Trial;
use App\Trials\TrialPlot;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/**
 * A teaching garden's log, made up: two seasons and this spring so far, one closed trial and one still to be sown, and five indicator
 * plants seen over six years. How each planting turned out is what the replay says, with days to maturity that the packet does not know.
 */
final class DemoLog
{
    private const GARDEN = 'Saddlewick teaching garden';

    /**
     * crop => [way of growing, share of the packet's days it takes here, meters, kilograms per meter, days of the year it is sown or
     * transplanted on, variety]
     */
    private const GROWN = [
        ['spinach', 'direct', 1.0, 6.0, 1.4, ['04-08', '04-22', '08-20'], null],
        ['radish', 'direct', 1.12, 3.0, 1.1, ['04-12', '04-26', '05-10', '08-25'], null],
        ['pea-snap', 'direct', 1.0, 8.0, 0.9, ['04-14', '04-28'], 'Saddle Dwarf'],
        ['lettuce-leaf', 'direct', 0.95, 4.0, 1.8, ['04-20', '05-05', '05-20', '08-15'], 'Shoreline'],
        ['carrot', 'direct', 0.88, 8.0, 2.6, ['05-01', '05-20', '06-10'], 'Basin Long'],
        ['beet', 'direct', 1.0, 5.0, 2.9, ['05-06', '06-05'], null],
        ['bush-bean', 'direct', 1.0, 7.0, 1.2, ['05-14', '06-01', '06-20'], 'Kestrel Bush'],
        ['kale', 'transplant', 1.0, 5.0, 2.2, ['05-08', '07-15'], null],
        ['broccoli', 'transplant', 1.05, 6.0, 1.5, ['05-02', '07-10'], 'Upper Green'],
        ['tomato-main', 'transplant', 0.92, 6.0, 4.5, ['05-25', '06-01'], 'Fennick Red'],
    ];

    /** Sown this spring before the demonstration's date: crop, task, days ago, bed, meters. */
    private const THIS_SPRING = [
        ['tomato-main', 'cover', 24, 'Frame', 0.0],
        ['broccoli', 'cover', 30, 'Frame', 0.0],
        ['spinach', 'sown', 12, 'Bed 1', 6.0],
        ['pea-snap', 'sown', 6, 'Bed 2', 8.0],
        ['radish', 'sown', 9, 'Bed 1', 3.0],
        ['lettuce-leaf', 'sown', 2, 'Bed 4', 4.0],
    ];

    /** Bed, days ago, mm; null: as much as it took. */
    private const WATERED = [['Bed 1', 5, null], ['Bed 1', 2, 8.0], ['Bed 2', 2, null]];

    /** Days ago, and mm. */
    private const GAUGE_READ = 4;

    private const CAUGHT = 6.5;

    private const YEARS = [2024, 2025];

    /** plant => [stage, degree-days above 5 °C at which it comes] */
    private const CUES = [
        ['Hazel', 'first catkins', 22.0],
        ['Dandelion', 'first flower', 62.0],
        ['Lilac', 'first leaf', 95.0],
        ['Apple', 'first blossom', 215.0],
        ['Elder', 'first flower', 470.0],
    ];

    private const CUE_YEARS = 6;

    private const CAUSES = [
        'freeze-young' => 'frost',
        'freeze-late' => 'frost',
        'cold-bolt' => 'cold',
        'no-emergence-cold' => 'cold',
        'no-emergence-hot' => 'dried-out',
        'heat' => 'heat',
        'long-day-bolt' => 'heat',
    ];

    /** Bed => [length, width, site] */
    private const BEDS = [
        'Bed 1' => [9.0, 1.2, 'raised bed'],
        'Bed 2' => [9.0, 1.2, 'raised bed'],
        'Bed 3' => [9.0, 1.2, 'open ground'],
        'Bed 4' => [9.0, 1.2, 'open ground'],
        'Bed 5' => [6.0, 1.2, 'open ground'],
        'Bed 6' => [6.0, 1.2, 'low tunnel'],
        'Bed 7' => [9.0, 1.2, 'open ground'],
        'Bed 8' => [9.0, 1.5, 'open ground'],
    ];

    /** What the educator's market table charges, per kilogram or stem. */
    private const PRICES = [
        'radish' => 5.0,
        'lettuce-leaf' => 14.0,
        'kale' => 9.0,
        'carrot' => 4.5,
        'tomato-main' => 6.0,
        'beet' => 4.0,
        'zinnia' => 0.6,
        'sunflower-single' => 1.2,
    ];

    /**
     * Planned: bed, crop, way of growing, day, meters, and whether spare seedlings are raised: the squash is early for this valley.
     * Broccoli and cucumbers want the same space in June, and Bed 7 is empty after its carrots.
     */
    private const PLANNED = [
        ['Bed 2', 'lettuce-leaf', 'direct', '2026-08-12', 6.0],
        ['Bed 3', 'tomato-main', 'transplant', '2026-05-28', 9.0],
        ['Bed 4', 'cucumber', 'direct', '2026-06-10', 5.0],
        ['Bed 5', 'bush-bean', 'direct', '2026-06-03', 6.0],
        ['Bed 6', 'broccoli', 'transplant', '2026-05-06', 6.0],
        ['Bed 6', 'cucumber', 'direct', '2026-06-14', 6.0],
        ['Bed 7', 'carrot', 'direct', '2026-05-01', 9.0],
        ['Bed 8', 'summer-squash', 'direct', '2026-05-04', 9.0, true],
        ['Bed 3', 'onion-long-day', 'transplant', '2027-04-18', 9.0],
        ['Bed 4', 'carrot', 'direct', '2027-05-04', 9.0],
        ['Bed 7', 'tomato-main', 'transplant', '2027-05-30', 9.0],
        ['Bed 8', 'bush-bean', 'direct', '2027-06-03', 9.0],
    ];

    /** What the teaching garden's stand sells each week: kilograms, or stems. */
    private const NEEDS = ['lettuce-leaf' => 3.0, 'radish' => 2.0, 'carrot' => 4.0, 'zinnia' => 30.0];

    private ?CarbonImmutable $now = null;

    public function __construct(
        private readonly PlaceOf $places,
        private readonly RecordEntry $keep,
        private readonly PlanTrial $plan,
        private readonly CloseTrial $close,
        private readonly SaveCuePlant $cues,
        private readonly SaveBed $beds,
        private readonly SavePlantings $plantings,
        private readonly SaveHarvestPlan $harvest,
    ) {
    }

    public function sow(Zone $zone, User $volunteer, User $educator): void
    {
        mt_srand(46703);
        $this->now = CarbonImmutable::now();
        foreach (self::BEDS as $name => [$length, $width, $site]) {
            $this->beds->create($zone, $educator, self::GARDEN, $name, Site::query()->where('name', $site)->firstOrFail(), $length, $width);
        }
        foreach (self::YEARS as $year) {
            foreach (self::GROWN as $i => $grown) {
                $this->season($zone, $volunteer, $year, $i, ...$grown);
            }
        }
        foreach (self::THIS_SPRING as [$crop, $how, $ago, $bed, $metres]) {
            $this->write($zone, $volunteer, 'sown', Today::day()->plus(-$ago), [
                'crop' => $crop,
                'garden' => self::GARDEN,
                'bed' => $bed,
                'under_cover' => $how === 'cover',
                'metres' => $metres > 0.0 ? $metres : null,
            ]);
        }
        $this->write($zone, $volunteer, 'note', Today::day()->plus(-3), [
            'garden' => self::GARDEN,
            'bed' => 'Bed 1',
            'text' => 'Row cover on for three nights; radish untouched.',
        ]);
        $this->water($zone, $volunteer);
        $this->onions($zone, $volunteer, $educator);
        $this->beet($zone, $educator);
        $this->sightings($zone, $volunteer);
        $this->plan($zone, $educator);
    }

    /** What the season is to bring: plantings in the beds, a harvest plan, and what crops sell for. */
    private function plan(Zone $zone, User $educator): void
    {
        $this->plantings->execute(
            $zone,
            $educator,
            array_map(
                static fn (array $p): array => [
                    'key' => (string) Str::uuid(),
                    'bed' => Bed::query()
                        ->where(['zone_id' => $zone->id, 'name' => $p[0]])
                        ->firstOrFail()->id,
                    'crop' => Crop::query()->where('slug', $p[1])->firstOrFail()->id,
                    'variety' => null,
                    'route' => $p[2],
                    'on' => $p[3],
                    'metres' => $p[4],
                    'pinned' => false,
                    'spares' => $p[5] ?? false,
                ],
                self::PLANNED,
            ),
            [],
            [],
            [],
        );
        $needs = array_map(null, array_keys(self::NEEDS), self::NEEDS);
        $this->harvest->execute(
            $zone,
            $educator,
            array_map(static fn (array $need): array => ['crop' => $need[0], 'amount' => $need[1]], $needs),
            1,
        );
        foreach (self::PRICES as $slug => $price) {
            app(SavePrice::class)->execute($educator, Crop::query()->where('slug', $slug)->firstOrFail(), $price);
        }
    }

    /** @param  list<string>  $days */
    private function season(
        Zone $zone,
        User $by,
        int $year,
        int $i,
        string $slug,
        string $route,
        float $share,
        float $metres,
        float $yield,
        array $days,
        ?string $variety,
    ): void {
        $crop = Crop::query()->with('varieties')->where('slug', $slug)->firstOrFail();
        $grown = ZoneCrops::of($zone)->named($crop, $variety);
        $place = $this->places->zone($zone);
        if ($place === null) {
            return;
        }
        $runs = Replay::ofPlace($place)->runs($grown->maturingIn($grown->growth->maturityDays * $share), Route::from($route));
        foreach ($days as $n => $monthDay) {
            $on = Day::fromIso("{$year}-{$monthDay}")->plus(mt_rand(-3, 3));
            foreach ($runs->all($on->yearDay()->number) as $run) {
                if ($run->sown->number === $on->number) {
                    $this->grow($zone, $by, $run, $slug, $variety, $route, $metres, $yield, 'Bed '.(1 + (($i + $n) % 6)));
                }
            }
        }
    }

    private function grow(
        Zone $zone,
        User $by,
        Run $run,
        string $slug,
        ?string $variety,
        string $route,
        float $metres,
        float $yield,
        string $bed,
    ): void {
        $place = ['crop' => $slug, 'variety' => $variety, 'garden' => self::GARDEN, 'bed' => $bed, 'metres' => $metres];
        $isSown = $route === 'direct';
        $sowing = $this->write($zone, $by, $isSown ? 'sown' : 'set-out', $run->sown, $place);
        if ($isSown && $run->up !== null) {
            $this->write($zone, $by, 'up', $run->up, ['sowing' => $sowing]);
        }
        $first = $run->daysToHarvest === null ? null : $run->sown->plus($run->daysToHarvest);
        if ($first === null || $run->outcome !== Outcome::Harvest) {
            $this->write($zone, $by, 'lost', $run->ended, ['sowing' => $sowing, 'cause' => self::CAUSES[$run->outcome->value] ?? 'other']);

            return;
        }
        $last = max($first->number + 4, min($run->ended->number, $first->number + 30));
        $kilograms = static fn (float $part): float => round(($metres * $yield * $part * mt_rand(80, 120)) / 100, 1);
        $this->write($zone, $by, 'first-picked', $first, [
            'sowing' => $sowing,
            'kilograms' => max(0.1, $kilograms(0.25)),
            'quality' => mt_rand(2, 3),
        ]);
        $this->write($zone, $by, 'picked', Day::fromNumber(intdiv($first->number + $last, 2)), [
            'sowing' => $sowing,
            'kilograms' => max(0.1, $kilograms(0.5)),
            'quality' => mt_rand(2, 3),
        ]);
        $this->write($zone, $by, 'last-picked', Day::fromNumber($last), [
            'sowing' => $sowing,
            'kilograms' => max(0.1, $kilograms(0.25)),
            'quality' => mt_rand(1, 3),
        ]);
    }

    private function water(Zone $zone, User $by): void
    {
        foreach (self::WATERED as [$bed, $ago, $mm]) {
            $this->write($zone, $by, 'watered', Today::day()->plus(-$ago), ['garden' => self::GARDEN, 'bed' => $bed, 'mm' => $mm]);
        }
        $this->write($zone, $by, 'gauge', Today::day()->plus(-self::GAUGE_READ), [
            'garden' => self::GARDEN,
            'bed' => 'Bed 1',
            'mm' => self::CAUGHT,
        ]);
    }

    private function onions(Zone $zone, User $by, User $educator): void
    {
        $crop = Crop::query()->with('varieties')->where('slug', 'onion-long-day')->firstOrFail();
        $waves = [
            ['name' => 'a week early', 'on' => Day::fromIso('2025-04-11')],
            ['name' => 'on the day', 'on' => Day::fromIso('2025-04-18')],
            ['name' => 'a week late', 'on' => Day::fromIso('2025-04-25')],
        ];
        $trial = $this->plan->execute(
            $zone,
            $educator,
            'demonstration-onions',
            $crop,
            Route::Transplant,
            'kilograms',
            'Is a week early worth the risk for onions on the basin floor?',
            $waves,
            ['Basin Globe', 'Marl Keeper'],
            3,
            array_map(static fn (int $n): array => ['garden' => self::GARDEN, 'name' => "Bed {$n}"], [4, 5, 6]),
        );
        $gave = ['a week early' => 1.9, 'on the day' => 2.4, 'a week late' => 2.0];
        foreach (TrialPlot::query()->where('trial_id', $trial->id)->with('bed')->orderBy('id')->get() as $plot) {
            $on = Day::fromIso($plot->planned_on->format('Y-m-d'));
            $sowing = $this->write($zone, $by, 'set-out', $on, [
                'crop' => 'onion-long-day',
                'variety' => $plot->variety,
                'garden' => self::GARDEN,
                'bed' => $plot->bed?->name,
                'plot' => $plot->id,
                'metres' => 2.0,
            ]);
            if ($plot->wave === 'a week early' && $plot->repeat === 2) {
                $this->write($zone, $by, 'lost', $on->plus(9), ['sowing' => $sowing, 'cause' => 'frost', 'text' => 'The lowest corner.']);
            } else {
                $this->write($zone, $by, 'last-picked', $on->plus(114 + 3 * $plot->repeat + ($plot->variety === 'Marl Keeper' ? 8 : 0)), [
                    'sowing' => $sowing,
                    'quality' => $plot->wave === 'on the day' ? 3 : 2,
                    'kilograms' => round(
                        (2.0 * $gave[$plot->wave] * ($plot->variety === 'Marl Keeper' ? 0.9 : 1.0) * mt_rand(92, 108)) / 100,
                        1,
                    ),
                ]);
            }
        }
        $this->close->execute(
            Trial::query()->findOrFail($trial->id),
            'On the day did best with both varieties; a week early lost a third to frost in the lowest corner and won nothing.',
            $educator,
        );
    }

    private function beet(Zone $zone, User $educator): void
    {
        $crop = Crop::query()->with('varieties')->where('slug', 'beet')->firstOrFail();
        $this->plan->execute(
            $zone,
            $educator,
            'demonstration-beet',
            $crop,
            Route::Direct,
            'kilograms',
            'Does beet sown a week early come to anything?',
            [
                ['name' => 'a week early', 'on' => Today::day()],
                ['name' => 'on the day', 'on' => Today::day()->plus(7)],
                ['name' => 'a week late', 'on' => Today::day()->plus(14)],
            ],
            [null],
            3,
            [['garden' => self::GARDEN, 'name' => 'Bed 3']],
        );
    }

    private function sightings(Zone $zone, User $by): void
    {
        $record = ZoneRecord::of($zone)?->filled->record->bridged();
        if ($record === null) {
            return;
        }
        $start = Latitude::of($zone->latitude)->yearStart();
        $began = Today::day()
            ->plus(-$start->daysUntil(Today::day()->yearDay()))
            ->year();
        foreach (self::CUES as [$name, $stage, $sum]) {
            $cue = $this->cues->execute($name, $stage, null);
            for ($year = $began - self::CUE_YEARS; $year <= $began; $year++) {
                $first = Day::of($year, 1, 1);
                $total = 0.0;
                for ($day = $first; $day->number < min(Today::day()->number, $first->number + 250); $day = $day->plus(1)) {
                    $i = $day->number - $record->first->number;
                    $total += max(0.0, (($record->minimum[$i] ?? 5.0) + ($record->maximum[$i] ?? 5.0)) / 2 - 5.0);
                    if ($total >= $sum) {
                        $seen = $day->plus(mt_rand(0, 2));
                        if ($seen->number <= Today::day()->number) {
                            $this->write($zone, $by, 'seen', $seen, ['cue' => $cue->id, 'text' => 'Saddlewick green']);
                        }
                        break;
                    }
                }
            }
        }
    }

    /**
     * @param  array<string, mixed>  $with
     * @return string its key
     */
    private function write(Zone $zone, User $by, string $act, Day $on, array $with): string
    {
        $key = (string) Str::uuid();
        if ($on->number <= Today::day()->number) {
            $this->keep->execute(
                $zone,
                $by,
                LoggedEntry::of(['key' => $key, 'act' => $act, 'on' => $on->iso()] + $with),
                'phone',
                $this->now ?? CarbonImmutable::now(),
            );
        }

        return $key;
    }
}
