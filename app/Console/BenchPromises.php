<?php

declare(strict_types=1);

namespace App\Console;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Replay\WeekMean;
use Anthesis\Season\Splice;
use Anthesis\Verification\SeasonPromises;
use Anthesis\Window\ReplayWindows;
use App\Results\PlaceOf;
use App\Zones\Zone;
use Illuminate\Console\Command;

/**
 * Other ways to make promises, compared with the results, zone by zone: this season's counts for one sow day, for the seven around it in
 * each member, and for these halfway to the record; and windows chosen by the plain share of years, or by the worst share that is left when
 * any one year is taken out. Numbers for docs/decisions/0016; it changes nothing. Takes minutes per zone.
 */
class BenchPromises extends Command
{
    private const STANDARD = 0.8;

    private const AROUND = 3;

    protected $signature = 'anthesis:bench-promises {zones?*} {--crops=tomato-main,bush-bean,spinach,radish,broccoli}';

    protected $description = 'Compare ways to promise a harvest on the zones of the demonstration (docs/decisions/0016)';

    public function handle(PlaceOf $places): int
    {
        $slugs = explode(',', (string) $this->option('crops'));
        $asked = (array) $this->argument('zones');
        $head = 'zone               cases  record    day   week   half | routes  plain: said kept days | worst: said kept days';
        $this->line($head);
        foreach (Zone::query()->orderBy('slug')->get() as $zone) {
            $place = $asked === [] || in_array($zone->slug, $asked, true) ? $places->zone($zone) : null;
            if ($place === null) {
                continue;
            }
            $crops = array_values(array_filter($place->book->crops(), static fn (Crop $c): bool => in_array($c->slug, $slugs, true)));
            $this->line(sprintf('%-16s', $zone->slug).self::season($place, $crops).' |'.self::windows($place));
        }

        return self::SUCCESS;
    }

    /** @param  list<Crop>  $crops */
    private static function season(Place $place, array $crops): string
    {
        $record = $place->years->days();
        $replay = Replay::ofPlace($place);
        $cases = 0;
        $sums = ['record' => 0.0, 'day' => 0.0, 'week' => 0.0, 'half' => 0.0];
        $known = [];
        foreach ($crops as $crop) {
            foreach ($crop->routes as $route) {
                $known[] = [$crop, $route, $replay->runs($crop, $route)];
            }
        }
        for ($year = $record->first->year(); $year <= $record->last()->year(); $year++) {
            for ($month = 1; $month <= 12; $month++) {
                $day = Day::of($year, $month, SeasonPromises::DATE);
                $members = self::members($place, $day);
                foreach ($known as [$crop, $route, $runs]) {
                    $came = SeasonPromises::came($runs, $record, $day);
                    $own = $came === null ? null : SeasonPromises::ofOtherYears($runs, $record, $day);
                    $shares = $own === null ? null : self::shares($members, $crop, $route);
                    if ($came === null || $own === null || $shares === null) {
                        continue;
                    }
                    $cases++;
                    $told = ['record' => $own, 'day' => $shares[0], 'week' => $shares[1], 'half' => ($shares[1] + $own) / 2];
                    foreach ($told as $way => $share) {
                        $sums[$way] += ($share - $came) ** 2;
                    }
                }
            }
        }
        $text = sprintf('%8d', $cases);
        foreach ($sums as $sum) {
            $text .= sprintf(' %6.4f', $cases === 0 ? 0.0 : $sum / $cases);
        }

        return $text;
    }

    /** @return list<array{Replay, int}> for a morning, with the day of each member's record */
    private static function members(Place $place, Day $day): array
    {
        $members = [];
        foreach (Splice::onDay($place->years->days(), $day, $day->year()) as $member) {
            $members[] = [
                new Replay($member->record, $place->latitude, $place->site(), $place->light),
                $day->number - $member->record->first->number,
            ];
        }

        return $members;
    }

    /**
     * @param  list<array{Replay, int}>  $members
     * @return array{float, float}|null shares of the day alone, and of the seven days in each member; null with too few members
     */
    private static function shares(array $members, Crop $crop, Route $route): ?array
    {
        $onDay = $ofWeek = [];
        foreach ($members as [$replay, $at]) {
            $runs = $replay->runs($crop, $route, $at - self::AROUND, $at + self::AROUND);
            $came = array_filter(
                array_map(
                    static fn (int $i): ?int => SeasonPromises::cameOn($runs, $i),
                    range($at - self::AROUND, $at + self::AROUND),
                ),
                static fn (?int $c): bool => $c !== null,
            );
            $now = SeasonPromises::cameOn($runs, $at);
            if ($now !== null) {
                $onDay[] = $now;
                $ofWeek[] = array_sum($came) / count($came);
            }
        }
        $count = count($onDay);

        return $count < SeasonPromises::LEAST_MEMBERS ? null : [array_sum($onDay) / $count, array_sum($ofWeek) / $count];
    }

    private static function windows(Place $place): string
    {
        $replay = Replay::ofPlace($place);
        $routes = 0;
        $totals = ['plain' => [0, 0.0, 0, 0], 'worst' => [0, 0.0, 0, 0]];
        foreach ($place->book->crops() as $crop) {
            foreach ($crop->kind === Crop::COVER ? [] : $crop->routes as $route) {
                $routes++;
                foreach (self::kept($replay->runs($crop, $route)) as $way => $counted) {
                    foreach ($counted as $i => $value) {
                        $totals[$way][$i] += $value;
                    }
                }
            }
        }
        $text = sprintf('%7d', $routes);
        foreach ($totals as [$runs, $said, $kept, $days]) {
            $text .= sprintf('      %5.3f %5.3f %5.0f', $runs === 0 ? 0 : $said / $runs, $runs === 0 ? 0 : $kept / $runs, $days / $routes);
        }

        return $text;
    }

    /**
     * @return array<string, array{int, float, int, float}> by way: seasons inside, what they were promised, harvests, and days open per
     *   year
     */
    private static function kept(Runs $runs): array
    {
        $came = [];
        foreach ($runs->all() as $run) {
            [$year, $month, $date] = Day::civil($run->sown->number);
            if ($month !== 2 || $date !== 29) {
                $came[$year][$run->sown->yearDay()->number] = $run->outcome === Outcome::Harvest ? 1 : 0;
            }
        }
        $totals = ['plain' => [0, 0.0, 0, 0.0], 'worst' => [0, 0.0, 0, 0.0]];
        foreach (array_keys($came) as $judged) {
            $others = array_diff_key($came, [$judged => true]);
            $plain = self::reliability($others);
            if ($plain === null) {
                continue;
            }
            $worst = $plain;
            foreach (array_keys($others) as $out) {
                foreach (self::reliability(array_diff_key($others, [$out => true])) ?? [] as $i => $share) {
                    $worst[$i] = min($worst[$i], $share);
                }
            }
            foreach (['plain' => $plain, 'worst' => $worst] as $way => $reliability) {
                foreach (ReplayWindows::reaching($reliability, self::STANDARD, YearDay::fromNumber(1)) as $window) {
                    $totals[$way][3] += $window->days / count($came);
                    for ($i = 0; $i < $window->days; $i++) {
                        $day = $window->first->plus($i)->number;
                        if (isset($came[$judged][$day])) {
                            $totals[$way][0]++;
                            $totals[$way][1] += $reliability[$day - 1];
                            $totals[$way][2] += $came[$judged][$day];
                        }
                    }
                }
            }
        }

        return $totals;
    }

    /**
     * @param  array<int, array<int, int>>  $years  harvests by year and day of the year
     * @return list<float>|null length 365; null if some day has no year
     */
    private static function reliability(array $years): ?array
    {
        $shares = [];
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $of = array_column($years, $day);
            if ($of === []) {
                return null;
            }
            $shares[] = array_sum($of) / count($of);
        }

        return WeekMean::of($shares);
    }
}
