<?php

declare(strict_types=1);

namespace App\TrackRecord;

use Anthesis\Place\Place;
use Anthesis\Verification\HoldOrGoRecord;
use Anthesis\Verification\SeasonMornings;
use Anthesis\Window\ProofStandard;
use App\Results\PlaceOf;
use App\Results\Question;
use App\Results\Results;
use App\Zones\Zone;

/**
 * Whether a zone's counts of this season did better than its calendar alone, year by year as computed, and all together.
 *
 * @phpstan-import-type Morning from SeasonMornings
 */
final readonly class ZoneHoldOrGo
{
    public function __construct(private PlaceOf $places)
    {
    }

    /** @return array{done: int, total: int}|null how many years have been judged; null without a record */
    public function progress(Zone $zone): ?array
    {
        $place = $this->places->zone($zone);
        if ($place === null) {
            return null;
        }
        $questions = self::questions($place);

        return ['done' => count($questions) - count(self::unknown($place, $questions)), 'total' => count($questions)];
    }

    /**
     * Judges a year that has not been judged yet. It can be stopped and started again.
     *
     * @return bool whether there are more
     */
    public function keepOne(Zone $zone): bool
    {
        $place = $this->places->zone($zone);
        $unknown = $place === null ? [] : self::unknown($place, self::questions($place));
        if ($place === null || $unknown === []) {
            return false;
        }
        Results::make($place, array_slice($unknown, 0, 1, true));

        return count($unknown) > 1;
    }

    /** @return array<string, mixed>|null as HoldOrGoRecord; null until all years are judged */
    public function of(Zone $zone, ProofStandard $standard): ?array
    {
        $place = $this->places->zone($zone);
        if ($place === null) {
            return null;
        }
        $questions = self::questions($place);
        $fingerprints = Results::fingerprints($place, $questions);
        if (Results::unknown($questions, $fingerprints) !== []) {
            return null;
        }
        /** @var array<string, array<string, list<Morning>>> $years */
        $years = Results::read(array_values($fingerprints));

        return HoldOrGoRecord::of(array_values($years), $standard->share());
    }

    /** @return array<int, MorningsQuestion> by year on record */
    private static function questions(Place $place): array
    {
        $years = range($place->years->first->year(), $place->years->last->year());

        return array_map(static fn (int $year): MorningsQuestion => new MorningsQuestion($year), array_combine($years, $years));
    }

    /**
     * @param  array<int, MorningsQuestion>  $questions
     * @return array<int, Question>
     */
    private static function unknown(Place $place, array $questions): array
    {
        return Results::unknown($questions, Results::fingerprints($place, $questions));
    }
}
