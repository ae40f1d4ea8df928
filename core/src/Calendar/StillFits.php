<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\FreezeThreshold;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\FromReplay;

/**
 * What can still be sown, or transplanted, on a day and come to harvest, crop by crop and variety by variety, by the days to its first
 * harvest. Transplants you buy count from transplanting.
 *
 * A plain document, ready for JSON: `days` to first harvest in weather at which packet days are right, and the ten they fall in (`from`: 20
 * for 20 to 29); `hardy`: it survives a killing freeze when grown; `last`: the last day of the window it is in; `of_ten`: null in a window,
 * otherwise the chance on a day with only a fair one.
 *
 * @phpstan-import-type Dossier from CropDossier
 * @phpstan-import-type RouteSheet from CropSheet
 * @phpstan-import-type VarietyRoute from CropSheet
 *
 * @phpstan-type Fit array{crop: string, name: string, variety: string|null, route: string, act: string, days: int, from: int, hardy: bool, last: string, of_ten: int|null}
 */
final class StillFits
{
    private const TEN = 10;

    /**
     * @param  array<string, Dossier>  $dossiers  by crop; cover crops, and crops not in the book, are skipped
     * @return list<Fit> quickest first
     */
    public static function of(array $dossiers, CropBook $book, ProofStandard $standard, YearDay $on): array
    {
        $fits = [];
        foreach ($book->crops() as $crop) {
            $dossier = $dossiers[$crop->slug] ?? null;
            if ($dossier === null || $crop->kind === Crop::COVER) {
                continue;
            }
            $grown = [[null, $crop, CropDossier::routes($dossier, FromReplay::KEY, $standard)]];
            $sheets = array_column($dossier['varieties'], null, 'name');
            foreach ($book->varietiesOf($crop->slug) as $variety) {
                $grown[] = [
                    $variety->name,
                    $variety->crop,
                    $sheets[$variety->name]['schools'][FromReplay::KEY][$standard->value] ?? [],
                ];
            }
            foreach ($grown as [$name, $own, $routes]) {
                foreach ($routes as $route) {
                    $span = self::spanOn($route, $on);
                    if ($span !== null) {
                        $fits[] = self::fit($crop, $name, $own, $route, $span);
                    }
                }
            }
        }
        usort(
            $fits,
            static fn (array $a, array $b): int => [$a['days'], $a['name'], $a['variety'] ?? '', $a['route']] <=> [
                $b['days'],
                $b['name'],
                $b['variety'] ?? '',
                $b['route'],
            ],
        );

        return $fits;
    }

    /**
     * The days left until a freeze has come in half of the seasons on record.
     *
     * @param  list<int>  $hasCome  length 365, seasons in which a freeze had come by sow day i+1
     * @return int|null null if that never happens
     */
    public static function daysToFreeze(array $hasCome, int $seasons, YearDay $on): ?int
    {
        $half = static fn (YearDay $day): bool => 2 * $hasCome[$day->number - 1] >= $seasons;
        for ($days = 1; $days < YearDay::YEAR; $days++) {
            if ($half($on->plus($days)) && ! $half($on->plus($days - 1))) {
                return $days;
            }
        }

        return null;
    }

    /**
     * @param  RouteSheet|VarietyRoute  $route
     * @return array{last: string, of_ten: int|null}|null null if the day is in no window and has no fair chance
     */
    private static function spanOn(array $route, YearDay $on): ?array
    {
        foreach ([...$route['windows'], ...$route['chances'] ?? []] as $span) {
            if (YearDay::fromIso($span['first'])->daysUntil($on) < $span['days']) {
                return ['last' => $span['last'], 'of_ten' => $span['of_ten'] ?? null];
            }
        }

        return null;
    }

    /**
     * @param  RouteSheet|VarietyRoute  $route
     * @param  array{last: string, of_ten: int|null}  $span
     * @return Fit
     */
    private static function fit(Crop $crop, ?string $variety, Crop $own, array $route, array $span): array
    {
        $days = (int) round((new Maturity($own))->days(Route::from($route['route'])));

        return [
            'crop' => $crop->slug,
            'name' => $crop->name,
            'variety' => $variety,
            'route' => $route['route'],
            'act' => $route['act'],
            'days' => $days,
            'from' => self::TEN * intdiv($days, self::TEN),
            'hardy' => $own->hardiness->killC < FreezeThreshold::KillingFreeze->celsius(),
            ...$span,
        ];
    }
}
