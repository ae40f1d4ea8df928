<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\MethodRule;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use Anthesis\Window\PrintedWindows;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\SoilHold;
use Anthesis\Words\Phrase;

/**
 * What the latest edition of the method changed at a place, crop by crop, and by which rule: the windows on the same record with the same
 * numbers, without its rules and with them; and each rule that would make a difference if left out.
 *
 * @phpstan-import-type Span from CropSheet
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type Change array{crop: string, name: string, route: string, act: string, before: list<Span>, now: list<Span>, rules: list<string>, phrase: Words|null}
 */
final class MethodChange
{
    /**
     * @param  YearDay  $from  where the year starts: windows are listed from that day on
     * @param  float  $share  of years, at the confidence level
     * @param  int  $since  the edition of the method before
     * @return list<Change> ways of growing whose windows did not change are left out
     */
    public static function of(
        Crop $crop,
        Replay $replay,
        YearDay $from,
        float $share,
        int $since = Replay::METHOD_EDITION - 1,
    ): array {
        $brought = MethodRule::since($since);
        $changes = [];
        foreach ($crop->routes as $route) {
            $windows = static fn (MethodRule ...$without): array => self::windows(
                $crop,
                $route,
                $replay,
                $from,
                $share,
                array_values($without),
            );
            $now = $windows();
            $before = $windows(...$brought);
            if ($now === $before) {
                continue;
            }
            $rules = array_filter($brought, static fn (MethodRule $rule): bool => $windows($rule) !== $now);
            $changes[] = [
                'crop' => $crop->slug,
                'name' => $crop->name,
                'route' => $route->value,
                'act' => $crop->act($route)->value,
                'before' => $before,
                'now' => $now,
                'rules' => array_values(array_map(static fn (MethodRule $rule): string => $rule->value, $rules)),
                'phrase' => WindowDifference::phrase($now, $before, Phrase::of('difference.before'))?->toArray(),
            ];
        }

        return $changes;
    }

    /**
     * @param  list<MethodRule>  $without
     * @return list<Span>
     */
    private static function windows(Crop $crop, Route $route, Replay $replay, YearDay $from, float $share, array $without): array
    {
        $has = static fn (MethodRule $rule): bool => ! in_array($rule, $without, true);
        foreach ($without as $rule) {
            $crop = $rule->leftOutOf($crop);
        }
        $replay = $has(MethodRule::FrozenGround) ? $replay : $replay->onAnyGround();
        $replay = $has(MethodRule::Snow) ? $replay : $replay->withoutSnow();
        $hold = $has(MethodRule::SoilHold) ? SoilHold::of($replay->normalSoil(), $crop, $route) : null;
        $windows = new ReplayWindows($crop, $route, OutcomeRibbon::of($replay->runs($crop, $route)), $from, '', $hold);
        $printed = $has(MethodRule::Printed) ? PrintedWindows::slivers($windows->printed($share))[0] : $windows->windows($share);

        return array_map(CropSheet::span(...), $printed);
    }
}
