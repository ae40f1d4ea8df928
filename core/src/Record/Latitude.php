<?php

declare(strict_types=1);

namespace Anthesis\Record;

use InvalidArgumentException;

/** Degrees north of the equator; negative is south. */
final readonly class Latitude
{
    private function __construct(public float $degrees)
    {
    }

    /** @throws InvalidArgumentException outside −90…90 */
    public static function of(float $degrees): self
    {
        if (! ($degrees >= -90.0 && $degrees <= 90.0)) {
            throw new InvalidArgumentException("A latitude lies between −90 and 90 degrees; {$degrees} does not.");
        }

        return new self($degrees);
    }

    public function isNorth(): bool
    {
        return $this->degrees >= 0.0;
    }

    /** The day the year ruler starts on, so a season reads left to right: January 1 in the north, July 1 in the south. */
    public function yearStart(): YearDay
    {
        return YearDay::of($this->isNorth() ? 1 : 7, 1);
    }

    /** The year's longest day: June 21 north, December 21 south. */
    public function longestDay(): YearDay
    {
        return $this->isNorth() ? YearDay::of(6, 21) : YearDay::of(12, 21);
    }

    /** First day of the cold season: July 15 north of the equator, January 15 south of it. */
    public function coldSeasonStart(): YearDay
    {
        return YearDay::of($this->isNorth() ? 7 : 1, 15);
    }

    /**
     * A cold season by its name: the year a northern one ends in, or a southern one lies in.
     *
     * @return array{Day, Day} its first and last day
     */
    public function coldSeason(int $season): array
    {
        [$month, $day] = $this->coldSeasonStart()->monthAndDay();
        $year = $this->isNorth() ? $season - 1 : $season;

        return [Day::of($year, $month, $day), Day::of($year + 1, $month, $day)->plus(-1)];
    }
}
