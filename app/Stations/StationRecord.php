<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityDecision;
use Anthesis\Record\QualityReport;
use Anthesis\Record\QualityRule;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The daily series of a station after one import. Never changed: another import makes another one.
 *
 * @property int $id
 * @property int $station_id
 * @property Carbon $first_day
 * @property Carbon $last_day
 * @property string $series
 * @property float|null $step °C between two neighbouring values as finely as it is written; null: not known
 * @property string $checksum fingerprint of the usable series as quality control left it
 * @property-read Station $station
 */
class StationRecord extends Model
{
    protected $table = 'records';

    protected $guarded = [];

    protected $hidden = ['series'];

    /** @var array<string, string> */
    protected $casts = ['first_day' => 'date', 'last_day' => 'date', 'step' => 'float'];

    /** @return array<string, mixed> the columns that hold a record and what quality control said of it */
    public static function columnsOf(DailyRecord $asRead, QualityReport $report): array
    {
        $marks = array_map(
            static fn (Mark $m): array => [$m->day->number - $asRead->first->number, $m->element->value, $m->rule->value],
            $report->marks,
        );
        $json = json_encode([$asRead->minimum, $asRead->maximum, $marks], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);

        return [
            'first_day' => $asRead->first->iso(),
            'last_day' => $asRead->last()->iso(),
            'series' => gzencode($json, 6),
            'checksum' => $report->usable->checksum(),
        ];
    }

    /** The series as it was read, and the marks of quality control. */
    public function asRead(): DailyRecord
    {
        [$minimum, $maximum] = $this->content();

        return new DailyRecord($this->firstDay(), $minimum, $maximum);
    }

    /** @return list<Mark> all that quality control doubted */
    public function marks(): array
    {
        return array_map(
            fn (array $m): Mark => new Mark($this->firstDay()->plus($m[0]), Element::from($m[1]), QualityRule::from($m[2])),
            $this->content()[2],
        );
    }

    /** @return list<Mark> what the readers of files marked: source flags and days given twice; the other rules are found anew */
    public function marksOfReaders(): array
    {
        return array_values(
            array_filter(
                $this->marks(),
                static fn (Mark $m): bool => in_array($m->rule, [QualityRule::SourceFlag, QualityRule::Duplicate], true),
            ),
        );
    }

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** The series of the values that count: without what is doubted, as far as people have not decided otherwise. */
    public function usable(): DailyRecord
    {
        $decisions = $this->station->decisions()->get()->map(static fn (StationDecision $d): QualityDecision => $d->toCore())->all();

        return QualityDecision::apply($this->asRead(), $this->marks(), array_values($decisions));
    }

    private function firstDay(): Day
    {
        return Day::fromIso($this->first_day->format('Y-m-d'));
    }

    /** @return array{list<float|null>, list<float|null>, list<array{int, string, string}>} minima, maxima, marks */
    private function content(): array
    {
        return json_decode((string) gzdecode($this->series), true, 8, JSON_THROW_ON_ERROR);
    }
}
