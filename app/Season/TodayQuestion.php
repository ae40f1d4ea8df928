<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Calendar\TodaySheet;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Season\RecordAlone;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\FromReplay;
use App\Results\Question;
use App\Results\ResultKind;

/** What can be done at a place: today in its season as it is, on another date by the record alone. */
final readonly class TodayQuestion implements Question
{
    /** @param  Day|null  $on  another date; null: today */
    public function __construct(private ProofStandard $standard, private ?Day $on)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Today;
    }

    public function inputs(): array
    {
        return [$this->standard->value, $this->on?->iso()];
    }

    public function of(Place $place): Place
    {
        return ($this->on === null ? $place : $place->withoutSeason())->at($place->site());
    }

    public function answer(Place $place): array
    {
        $replay = FromReplay::ofPlace($place);
        [$crops, $varieties, $share] = [$place->book->crops(), $place->book->varieties(), $this->standard->share()];
        if ($this->on !== null) {
            return [
                'record_ends' => self::lastKnown($place->years->days())->iso(),
                'sheet' => TodaySheet::ofRecord(
                    new RecordAlone($replay),
                    $replay,
                    $crops,
                    $varieties,
                    $this->on,
                    $share,
                    range($place->years->first->year(), $place->years->last->year()),
                ),
            ];
        }
        $known = $place->known();

        return [
            'record_ends' => self::lastKnown($known)->iso(),
            'sheet' => TodaySheet::ofSeason(ThisSeason::ofPlace($place), $known, $replay, $crops, $varieties, Site::covers(), $share),
        ];
    }

    private static function lastKnown(DailyRecord $record): Day
    {
        $i = $record->days() - 1;
        while ($i > 0 && ($record->minimum[$i] === null || $record->maximum[$i] === null)) {
            $i--;
        }

        return $record->first->plus($i);
    }
}
