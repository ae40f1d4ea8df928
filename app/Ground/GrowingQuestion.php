<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\Route;
use Anthesis\Ground\GroundDays;
use Anthesis\Place\Place;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\FromReplay;
use App\Results\Question;
use App\Results\ResultKind;

/** When each crop and variety of a book may go into the ground at a place, and how long it stays there, day by day. */
final readonly class GrowingQuestion implements Question
{
    public function __construct(private ProofStandard $standard)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Ground;
    }

    public function inputs(): array
    {
        return [$this->standard->value];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site());
    }

    /** @return array{days: array<string, string>} JSON of the GroundDays of each, by key, because most are never looked at */
    public function answer(Place $place): array
    {
        $school = FromReplay::ofPlace($place);
        $days = [];
        foreach (self::grown($place->book) as [$crop, $variety]) {
            foreach ($crop->routes as $route) {
                $runs = $school->runs($crop, $route);
                $windows = $school->of($crop, $route);
                $days[self::key($crop->slug, $variety, $route)] = json_encode(
                    array_values(get_object_vars(GroundDays::of($runs, $windows->windows($this->standard->share())))),
                    JSON_THROW_ON_ERROR,
                );
            }
        }

        return ['days' => $days];
    }

    /** @return list<array{Crop, string|null}> each crop, then its varieties with their names */
    public static function grown(CropBook $book): array
    {
        $grown = [];
        foreach ($book->crops() as $crop) {
            $grown[] = [$crop, null];
            foreach ($book->varietiesOf($crop->slug) as $variety) {
                $grown[] = [$variety->crop, $variety->name];
            }
        }

        return $grown;
    }

    public static function key(string $crop, ?string $variety, Route $route): string
    {
        return "{$crop}\n{$variety}\n{$route->value}";
    }
}
