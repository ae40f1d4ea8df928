<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\MethodRule;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use Anthesis\Window\ReplayWindows;
use Anthesis\Words\Phrase;

/**
 * What the second edition of the method moved at a place, crop by crop, and by which rule: the windows on the same record with
 * the same numbers, without its rules and with them; and the rules without any one of which they would be others.
 *
 * @phpstan-import-type Span from CropSheet
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type Change array{crop: string, name: string, route: string, act: string, before: list<Span>, now: list<Span>, rules: list<string>, phrase: Words|null}
 */
final class MethodChange
{
    /**
     * @param  YearDay  $from  where the year is cut: windows are listed from there on
     * @param  float  $share  of years, of the standard of proof
     * @return list<Change> a way of growing whose windows are what they were is not in it
     */
    public static function of(Crop $crop, Replay $replay, YearDay $from, float $share): array
    {
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
            $before = $windows(...MethodRule::cases());
            if ($now === $before) {
                continue;
            }
            $rules = array_filter(MethodRule::cases(), static fn (MethodRule $rule): bool => $windows($rule) !== $now);
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
        foreach ($without as $rule) {
            $crop = $rule->leftOutOf($crop);
        }
        $ground = in_array(MethodRule::FrozenGround, $without, true) ? $replay->onAnyGround() : $replay;

        return array_map(
            CropSheet::span(...),
            (new ReplayWindows($crop, $route, OutcomeRibbon::of($ground->runs($crop, $route)), $from, ''))->windows($share),
        );
    }
}
