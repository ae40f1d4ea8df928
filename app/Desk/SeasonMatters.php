<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Calendar\TodaySheet;
use Anthesis\Crop\Crop;
use Anthesis\Record\Day;
use Anthesis\Season\Pile;
use Anthesis\Words\Phrase;
use App\Log\Sowing;
use App\Zones\Zone;

/**
 * What this season asks for in a zone: protection from frost, and windows that close or open within a week.
 *
 * @phpstan-import-type Sheet from TodaySheet
 * @phpstan-import-type SeasonAct from TodaySheet
 */
final readonly class SeasonMatters
{
    private const WEEK = 7;

    private const HELD = [Pile::HoldAWeek->value, Pile::Hold->value];

    /**
     * @param  Sheet  $sheet  this season's sheet for today
     * @return list<Matter>
     */
    public static function of(Zone $zone, array $sheet, Day $today): array
    {
        return array_values(
            array_filter([
                self::frost($zone, $sheet, $today),
                self::acts($zone, 'last-chance', self::closing($sheet['acts'], $today)),
                self::acts($zone, 'opening', self::opening($sheet['acts'], $today)),
            ]),
        );
    }

    /** @param  Sheet  $sheet */
    private static function frost(Zone $zone, array $sheet, Day $today): ?Matter
    {
        $night = $sheet['nights']['expected'][0] ?? null;
        if ($night === null) {
            return null;
        }
        $tender = array_column(
            array_filter($sheet['nights']['tender'] ?? [], static fn (array $t): bool => $t['stage'] !== 'under-cover'),
            null,
            'crop',
        );
        $out = Sowing::underWay($zone, $today)
            ->with('crop')
            ->get()
            ->filter(static fn (Sowing $s): bool => $s->inGroundOn() !== null);
        $atRisk = $out->filter(static fn (Sowing $s): bool => isset($tender[$s->crop->slug]))->count();
        $isTonight = Day::fromIso($night['date'])->number - $today->number <= 1;
        $with = ['celsius' => Phrase::of('celsius', ['celsius' => $night['celsius']]), 'out' => $out->count(), 'tender' => $atRisk];

        return $isTonight
            ? new Matter('frost-tonight', Urgency::Tonight, $zone, Phrase::of('attention.frost-tonight', $with))
            : new Matter(
                'frost',
                Urgency::ThisWeek,
                $zone,
                Phrase::of('attention.frost', ['day' => Phrase::day(Day::fromIso($night['date'])->yearDay())] + $with),
            );
    }

    /**
     * @param  list<SeasonAct>  $acts
     * @return list<Phrase> those whose last day comes within a week
     */
    private static function closing(array $acts, Day $today): array
    {
        $days = [];
        foreach ($acts as $i => $act) {
            if ($act['pile'] === Pile::LastChance->value && $act['slack'] !== null && $act['slack'] < self::WEEK) {
                $days[$i] = $today->plus($act['slack']);
            }
        }

        return self::inOrder($acts, $days, 'attention.act-by');
    }

    /**
     * @param  list<SeasonAct>  $acts
     * @return list<Phrase> those that are waiting, and open within a week
     */
    private static function opening(array $acts, Day $today): array
    {
        $days = [];
        foreach ($acts as $i => $act) {
            $isHeld = in_array($act['pile'], self::HELD, true) && $act['kind'] !== Crop::COVER;
            $from = $isHeld && $act['until'] !== null ? Day::fromIso($act['until']) : null;
            if ($from !== null && $from->number - $today->number < self::WEEK) {
                $days[$i] = $from;
            }
        }

        return self::inOrder($acts, $days, 'attention.act-from');
    }

    /**
     * @param  list<SeasonAct>  $acts
     * @param  array<int, Day>  $days  by place in the list
     * @return list<Phrase> soonest first
     */
    private static function inOrder(array $acts, array $days, string $key): array
    {
        uksort(
            $days,
            static fn (int $a, int $b): int => [$days[$a]->number, $acts[$a]['name']] <=> [$days[$b]->number, $acts[$b]['name']],
        );

        return array_map(static fn (int $i): Phrase => self::act($acts[$i], $key, $days[$i]), array_keys($days));
    }

    /** @param  SeasonAct  $act */
    private static function act(array $act, string $key, Day $day): Phrase
    {
        return Phrase::of($key, [
            'act' => Phrase::of("act.{$act['act']}"),
            'crop' => $act['name'],
            'day' => Phrase::day($day->yearDay()),
        ]);
    }

    /** @param  list<Phrase>  $parts */
    private static function acts(Zone $zone, string $kind, array $parts): ?Matter
    {
        return $parts === [] ? null : new Matter($kind, Urgency::ThisWeek, $zone, Phrase::of("attention.{$kind}"), $parts);
    }
}
