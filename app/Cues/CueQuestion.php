<?php

declare(strict_types=1);

namespace App\Cues;

use Anthesis\Crop\Crop;
use Anthesis\Indicator\Cue;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Season\ThisSeason;
use App\Results\Question;
use App\Results\ResultKind;

/** What the days on which a plant was seen in past years say about a place's soil, and about this season. */
final readonly class CueQuestion implements Question
{
    /** The answer for a plant that nobody has seen in a past year. */
    public const NOTHING = [
        'years' => [],
        'sum' => null,
        'sum_deviation' => null,
        'soil' => null,
        'soil_deviation' => null,
        'strength' => null,
        'used' => false,
        'expected' => null,
        'opens' => [],
    ];

    /**
     * @param  list<Day>  $past  one per year, in order
     * @param  bool  $isSeen  whether it was already seen this year
     */
    public function __construct(private array $past, private bool $isSeen)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Cue;
    }

    public function inputs(): array
    {
        return [array_map(static fn (Day $d): string => $d->iso(), $this->past), $this->isSeen];
    }

    public function of(Place $place): Place
    {
        $at = $place->at($place->site());

        return $this->isSeen || ThisSeason::lacks($place) !== null ? $at->withoutSeason() : $at;
    }

    public function answer(Place $place): array
    {
        $cue = Cue::of($place->whole->days(), $place->latitude, $place->site(), $this->past);
        if ($cue === null) {
            return self::NOTHING;
        }
        $expected =
            ! $place->hasSeason() || ! $cue->isUsed() ? null : $cue->expected(ThisSeason::ofPlace($place)->members, $place->today());

        return [
            'years' => array_map(
                static fn (array $s): array => [
                    'on' => $s['day']->iso(),
                    'sum' => round($s['sum'], 1),
                    'soil' => round($s['soil'], 1),
                ],
                $cue->sightings,
            ),
            'sum' => round($cue->sum, 1),
            'sum_deviation' => round($cue->sumDeviation, 1),
            'soil' => round($cue->soil, 1),
            'soil_deviation' => round($cue->soilDeviation, 1),
            'strength' => $cue->strength === null ? null : round($cue->strength, 2),
            'used' => $cue->isUsed(),
            'expected' => $expected === null ? null : array_map(static fn (?Day $d): ?string => $d?->iso(), $expected),
            'opens' => self::opens($cue, $place),
        ];
    }

    /** @return list<array{crop: string, name: string, soil_min: float}> crops whose soil is warm enough when it is seen */
    private static function opens(Cue $cue, Place $place): array
    {
        $opens = [];
        foreach ($place->book->crops() as $crop) {
            $least = $crop->convention->soilMinSowC;
            if ($least !== null && $cue->opens($least)) {
                $opens[] = ['crop' => $crop->slug, 'name' => $crop->name, 'soil_min' => (float) $least];
            }
        }

        return $opens;
    }
}
