<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\Day;
use Anthesis\Record\Median;
use Anthesis\Soil\SoilDate;
use Anthesis\Words\Phrase;

/**
 * What this season gives reason to tell gardeners: soil a week early or late, a freeze while tender plants are out, a heat spell on
 * seedlings. WaterAdvisory adds what its rain does. Each is a draft with its evidence; the educator decides whether and how to publish it.
 */
final readonly class AdvisoryGround
{
    /** Soil that is ready this many days away from the normal date is worth mentioning. */
    private const APART = 7;

    /** Days ahead within which soil is mentioned. */
    private const SOON = 21;

    /** Days ahead in which to look for a heat spell, and how many in a row it takes. */
    private const HEAT_AHEAD = 7;

    private const HEAT_DAYS = 3;

    /** Days after its task for which a plant is a seedling. */
    private const SEEDLING = 21;

    /**
     * @param  string  $key  what it is about; it stays the same from day to day for the same cause
     * @param  Phrase  $says  the draft
     * @param  list<Phrase>  $evidence
     * @param  Day  $until  the day after which it is no longer useful
     */
    public function __construct(public string $key, public Phrase $says, public array $evidence, public Day $until)
    {
    }

    /**
     * @param  list<SoilReady>  $ready
     * @param  list<SoilDate>  $usual  normal dates of the same temperatures
     * @param  list<float|null>  $soil  °C, for the season's days so far: what the soil held before a cold spell is not late
     * @param  list<Outside>  $outside
     * @return list<self>
     */
    public static function of(ThisSeason $season, array $ready, array $usual, array $soil, NightWork $nights, array $outside): array
    {
        return [...self::soil($season, $ready, $usual, $soil), ...self::freeze($nights), ...self::heat($season, $outside)];
    }

    /**
     * @param  list<SoilReady>  $ready
     * @param  list<SoilDate>  $usual
     * @param  list<float|null>  $soFar
     * @return list<self> at most one: the warmest soil that is early, or otherwise the coldest that is late
     */
    private static function soil(ThisSeason $season, array $ready, array $usual, array $soFar): array
    {
        $early = $late = null;
        foreach ($ready as $i => $soil) {
            $expected = $soil->now ? $season->today : $soil->dates[1];
            $normal = $usual[$i]->oneYearInTwo;
            if ($expected === null || $normal === null || $expected->number - $season->today->number > self::SOON) {
                continue;
            }
            $start = $season->latitude->yearStart();
            $days = $start->daysUntil($expected->yearDay()) - $start->daysUntil($normal);
            // Soil that has long been warm is not news, and once it is warm, it can only be early.
            if ($soil->now ? $days > -self::APART : abs($days) < self::APART || SoilReady::hasHeld($soil->celsius, $soFar)) {
                continue;
            }
            $words = [
                'soil' => Phrase::celsius($soil->celsius),
                'day' => Phrase::day($expected->yearDay()),
                'usual' => Phrase::day($normal),
                'days' => abs($days),
            ];
            $say = match (true) {
                $soil->now => 'now',
                $days < 0 => 'early',
                default => 'late',
            };
            $range = [$soil->dates[0], $soil->dates[2]];
            $evidence =
                $soil->now || $range[0] === null || $range[1] === null
                    ? [Phrase::of('advisory.evidence.soil-usual', $words)]
                    : [
                        Phrase::of(
                            'advisory.evidence.soil-range',
                            $words + [
                                'early' => Phrase::day($range[0]->yearDay()),
                                'late' => Phrase::day($range[1]->yearDay()),
                                'members' => count($season->members),
                            ],
                        ),
                        Phrase::of('advisory.evidence.soil-usual', $words),
                    ];
            $ground = new self(
                'soil-'.(int) $soil->celsius,
                Phrase::of("advisory.draft.soil-{$say}", $words),
                $evidence,
                $expected->plus($say === 'late' ? 0 : self::APART),
            );
            if ($say === 'late') {
                $late ??= $ground;
            } else {
                $early = $ground;
            }
        }

        $ground = $early ?? $late;

        return $ground === null ? [] : [$ground];
    }

    /** @return list<self> */
    private static function freeze(NightWork $nights): array
    {
        if ($nights->tender === []) {
            return [];
        }
        $coldest = $nights->nights[0];
        foreach ($nights->nights as $night) {
            $coldest = $night['celsius'] < $coldest['celsius'] ? $night : $coldest;
        }
        $last = $nights->nights[count($nights->nights) - 1]['day'];

        return [
            new self(
                'freeze',
                Phrase::of('advisory.draft.freeze', [
                    'day' => Phrase::day($nights->nights[0]['day']->yearDay()),
                    'celsius' => Phrase::celsius($coldest['celsius']),
                ]),
                [
                    ...array_map(
                        static fn (array $n): Phrase => Phrase::of('advisory.evidence.night', [
                            'day' => Phrase::day($n['day']->yearDay()),
                            'members' => $n['members'],
                            'of' => $n['of'],
                            'celsius' => Phrase::celsius($n['celsius']),
                        ]),
                        $nights->nights,
                    ),
                    ...array_map(
                        static fn (array $t): Phrase => Phrase::of('advisory.evidence.tender', [
                            'crop' => $t['out']->crop->name,
                            'stage' => Phrase::of("stage.{$t['out']->stage->value}"),
                            'celsius' => Phrase::celsius($t['out']->killC()),
                        ]),
                        $nights->tender,
                    ),
                ],
                $last,
            ),
        ];
    }

    /**
     * @param  list<Outside>  $outside
     * @return list<self>
     */
    private static function heat(ThisSeason $season, array $outside): array
    {
        $maxima = [];
        for ($i = 0; $i < self::HEAT_AHEAD; $i++) {
            $day = $season->today->plus($i);
            $own = array_values(
                array_filter(
                    array_map(
                        static fn (Member $m): ?float => $m->record->maximum[$day->number - $m->record->first->number] ?? null,
                        $season->members,
                    ),
                    static fn (?float $m): bool => $m !== null,
                ),
            );
            $maxima[] = $own === [] ? -INF : Median::of($own) + $season->site->air;
        }
        [$from, $spell] = [0, -INF];
        for ($i = 0; $i + self::HEAT_DAYS <= self::HEAT_AHEAD; $i++) {
            $least = min(INF, ...array_slice($maxima, $i, self::HEAT_DAYS));
            if ($least > $spell) {
                [$from, $spell] = [$i, $least];
            }
        }
        $suffer = array_values(
            array_filter(
                $outside,
                static fn (Outside $o): bool => $o->stage === Stage::Young &&
                    $o->sinceAct < self::SEEDLING &&
                    $o->crop->heat->maximumC <= $spell,
            ),
        );
        if ($suffer === []) {
            return [];
        }
        $first = $season->today->plus($from);

        return [
            new self(
                'heat',
                Phrase::of('advisory.draft.heat', ['day' => Phrase::day($first->yearDay()), 'celsius' => Phrase::celsius($spell)]),
                array_map(
                    static fn (Outside $o): Phrase => Phrase::of('advisory.evidence.heat', [
                        'crop' => $o->crop->name,
                        'celsius' => Phrase::celsius($o->crop->heat->maximumC),
                    ]),
                    $suffer,
                ),
                $first->plus(self::HEAT_DAYS - 1),
            ),
        ];
    }
}
