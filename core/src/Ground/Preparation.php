<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Season\UnderWay;

/** What has to be done for a planting, counted from its day; docs/method.md, "Fitting it into beds". */
final class Preparation
{
    private const WEEK = 7;

    /** Weeks for compost that is left alone, and for compost that is turned every week. */
    private const COMPOST = 12;

    private const TURNED_COMPOST = 6;

    private const AMENDED = 14;

    private const WARMED = 7;

    /** Soil that is this many °C short of what a crop needs is warmed under cover. */
    private const LACKS = 5.0;

    /** Days after sowing or transplanting in which heat does harm. */
    private const TENDER = 21;

    /**
     * Days from raw manure to a harvest that touches soil. For others, 90 would do, but the book does not say which they are, so all are
     * treated as if they touched it.
     */
    private const MANURE = 120;

    /** Days between cutting a cover crop and sowing after it. */
    private const ROTS = 21;

    /** A prepared bed is this much warmer than normal ground, °C. */
    private const SOIL_ABOVE = 2.0;

    /** In colder soil, emergence is figured as at this temperature, °C. */
    private const COLDEST = 1.0;

    /**
     * @param  list<float>  $soil  normal soil temperature by day of the year, °C
     * @return Day|null when what is sown on a day normally emerges; null: it is transplanted, or does not emerge in such soil
     */
    public static function up(Crop $crop, Route $route, Day $on, array $soil): ?Day
    {
        $days = $crop->emergence->daysAt(max(self::COLDEST, $soil[$on->yearDay()->number - 1]) + self::SOIL_ABOVE);

        return $route === Route::Direct && $days !== null ? $on->plus((int) ceil($days)) : null;
    }

    /**
     * @param  array{start: Day, ready: Day, until: Day|null}  $spares  days of the seedlings raised beside a sowing
     * @return list<Task> empty if they would come too late
     */
    public static function ofSpares(array $spares): array
    {
        return $spares['until'] === null
            ? []
            : [new Task('spares-start', $spares['start']), new Task('spares-ready', $spares['ready'], $spares['until'])];
    }

    /**
     * A cover crop is for the ground. Nothing is prepared for it, and it is cut once its stand is worth having, before it sets seed, and in
     * time for what comes after it.
     *
     * @param  Day  $on  of sowing
     * @param  Day|null  $up  when it should emerge; null: it is up
     * @param  Day  $worthHaving  its "harvest": the first day its stand is worth having
     * @param  Day|null  $next  when the next crop goes in; null: none is planned
     * @return list<Task> in order of their days
     */
    public static function ofCover(Crop $crop, Day $on, ?Day $up, Day $worthHaving, ?Day $next): array
    {
        $last = $worthHaving->plus($crop->harvest->days - 1);
        $latest = $next === null ? $last : $next->plus(-self::ROTS);
        $to = $latest->isBefore($last) ? $latest : $last;
        $cut = new Task('cut', $to->isBefore($worthHaving) ? $to : $worthHaving, $to);

        return $up === null ? [$cut] : [new Task('water', $on, $up), $cut];
    }

    /**
     * @param  Day  $on  of sowing or transplanting
     * @param  Day|null  $up  when it should emerge; null: it is transplanted
     * @param  Day  $firstHarvest  the earliest to expect
     * @param  list<float>  $soil  normal soil temperature by day of the year, °C
     * @param  list<float>  $maximum  normal maximum by day of the year, °C
     * @return list<Task> in order of their days
     */
    public static function of(Crop $crop, Route $route, Day $on, ?Day $up, Day $firstHarvest, array $soil, array $maximum): array
    {
        $tasks = [
            new Task('compost', $on->plus(-self::COMPOST * self::WEEK)),
            new Task('compost-turned', $on->plus(-self::TURNED_COMPOST * self::WEEK)),
            new Task('amend', $on->plus(-self::AMENDED)),
            new Task('no-raw-manure', $firstHarvest->plus(-self::MANURE), $firstHarvest),
        ];
        $asked = $crop->soilMinimum($route);
        if ($asked !== null && $asked - $soil[$on->yearDay()->number - 1] >= self::LACKS) {
            $tasks[] = new Task('warm', $on->plus(-self::WARMED), $on->plus(-1));
        }
        $hot = array_filter(
            range(0, self::TENDER - 1),
            static fn (int $i): bool => $maximum[$on->plus($i)->yearDay()->number - 1] >= $crop->heat->maximumC,
        );
        if ($hot !== []) {
            $tasks[] = new Task('shade', $on->plus(min($hot)), $on->plus(self::TENDER - 1));
        }
        if ($route === Route::Direct && $up !== null) {
            $tasks[] = new Task('water', $on, $up);
            if ($crop->start === 'seed') {
                $tasks[] = new Task('thin', $up->plus(UnderWay::THINNED_AFTER));
            }
        }
        usort($tasks, static fn (Task $a, Task $b): int => [$a->on->number, $a->key] <=> [$b->on->number, $b->key]);

        return $tasks;
    }
}
