<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\SowingWindow;

/**
 * What may be outdoors on a day, according to the record's windows: recently sown or transplanted, in harvest, or indoors and about to be
 * transplanted.
 */
final readonly class Outside
{
    /** Days after its task for which a plant counts as young. */
    public const YOUNG = 60;

    private const WEEK = 7;

    /** @param  int  $sinceAct  days since the last day its task could be done; 0 while it can */
    public function __construct(public Crop $crop, public Stage $stage, public int $sinceAct)
    {
    }

    /**
     * @param  list<Crop>  $crops
     * @param  float  $standard  share of harvests a window needs, 0…1
     * @return list<self> each crop once, at the most tender stage it may be in
     */
    public static function on(Day $day, array $crops, FromReplay $replay, float $standard): array
    {
        $out = [];
        foreach ($crops as $crop) {
            $tenderest = null;
            foreach ($crop->routes as $route) {
                $weeks = $route === Route::Transplant ? $crop->underCover->weeks?->most : null;
                $windows = $replay->of($crop, $route);
                foreach ($windows->windows($standard) as $window) {
                    $stage = self::stage($day, $window, $windows->harvest($window), $weeks);
                    $since = $window->contains($day->yearDay()) ? 0 : $window->last->daysUntil($day->yearDay());
                    if (
                        $stage !== null &&
                        ($tenderest === null || [$stage->rank(), $since] < [$tenderest->stage->rank(), $tenderest->sinceAct])
                    ) {
                        $tenderest = new self($crop, $stage, $since);
                    }
                }
            }
            if ($tenderest !== null) {
                $out[] = $tenderest;
            }
        }

        return $out;
    }

    /** @return float temperature of a night that kills it, °C */
    public function killC(): float
    {
        return $this->stage === Stage::Grown ? $this->crop->hardiness->killC : $this->crop->hardiness->killYoungC;
    }

    /** @param  float|null  $weeks  indoors at most; null: none */
    private static function stage(Day $day, SowingWindow $window, ?SowingWindow $harvest, ?float $weeks): ?Stage
    {
        $on = $day->yearDay();

        return match (true) {
            $window->contains($on) || $window->last->daysUntil($on) < self::YOUNG => Stage::Young,
            $weeks !== null && $on->daysUntil($window->first) <= $weeks * self::WEEK => Stage::UnderCover,
            $harvest !== null && (new SowingWindow($window->first, $harvest->last))->contains($on) => Stage::Grown,
            default => null,
        };
    }
}
