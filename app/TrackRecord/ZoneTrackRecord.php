<?php

declare(strict_types=1);

namespace App\TrackRecord;

use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Verification\CropPromises;
use Anthesis\Verification\TrackRecord;
use Anthesis\Window\ProofStandard;
use App\Results\PlaceOf;
use App\Results\ResultKind;
use App\Results\Results;
use App\Zones\Zone;

/**
 * Whether the windows of a zone kept their promise: crop by crop as computed, and all together.
 *
 * @phpstan-import-type Promises from CropPromises
 * @phpstan-import-type Sheet from TrackRecord
 */
final readonly class ZoneTrackRecord
{
    public function __construct(private PlaceOf $places)
    {
    }

    /** @return array{done: int, total: int}|null how many crops have been judged; null without a record */
    public function progress(Zone $zone): ?array
    {
        $place = $this->places->zone($zone);
        if ($place === null) {
            return null;
        }
        $questions = self::questions($place);

        return [
            'done' => count($questions) - count(Results::unknown($questions, Results::fingerprints($place, $questions))),
            'total' => count($questions),
        ];
    }

    /** Judges what has not been judged yet. It can be stopped and started again. */
    public function keep(Zone $zone): void
    {
        $place = $this->places->zone($zone);
        if ($place === null) {
            return;
        }
        $questions = self::questions($place);
        $unknown = Results::unknown($questions, Results::fingerprints($place, $questions));
        iterator_count(Results::makeMany($place, $unknown));
    }

    /**
     * @param  list<string>|null  $only  slugs; null: all
     * @return Sheet|null null without a record; what has not been judged yet is judged now
     */
    public function of(Zone $zone, ProofStandard $standard, ?array $only = null): ?array
    {
        $place = $this->places->zone($zone);
        if ($place === null) {
            return null;
        }
        $questions = self::questions($place);
        $questions = $only === null ? $questions : array_intersect_key($questions, array_flip($only));
        $fingerprints = Results::keep($place, $questions);
        /** @var Sheet $sheet */
        $sheet = Results::before(ResultKind::TrackRecord, [$standard->value, $fingerprints], static fn (): array => self::told(
            $place,
            $fingerprints,
            $standard,
        ));

        return $sheet;
    }

    /**
     * @param  array<string, string>  $fingerprints  of each crop's promises
     * @return Sheet
     */
    private static function told(Place $place, array $fingerprints, ProofStandard $standard): array
    {
        $crops = array_column($place->book->crops(), null, 'slug');
        $judged = Results::read(array_values($fingerprints));
        $told = [];
        foreach ($fingerprints as $slug => $fingerprint) {
            /** @var list<Promises> $own */
            $own = $judged[$fingerprint][$standard->value];
            $told[] = ['crop' => $slug, 'name' => $crops[$slug]->name, 'family' => $crops[$slug]->family, 'promises' => $own];
        }

        return TrackRecord::of($told);
    }

    /** @return array<string, PromisesQuestion> by crop; cover crops promise no harvest, so they are left out */
    private static function questions(Place $place): array
    {
        $questions = [];
        foreach ($place->book->crops() as $crop) {
            if ($crop->kind !== Crop::COVER) {
                $questions[$crop->slug] = new PromisesQuestion($crop);
            }
        }

        return $questions;
    }
}
