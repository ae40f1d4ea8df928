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
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The daily series of a station after one import. It never changes; another import makes another one.
 *
 * @property int $id
 * @property int $station_id
 * @property Carbon $first_day
 * @property Carbon $last_day
 * @property string $series
 * @property float|null $step smallest difference between two values, °C; null: not known
 * @property string $checksum fingerprint of the usable series after quality control
 * @property-read Station $station
 */
#[OfficeThrough('station_id', Station::class)]
class StationRecord extends Model
{
    use OfOffice;

    protected $table = 'records';

    protected $guarded = [];

    protected $hidden = ['series'];

    /** @var array<string, string> */
    protected $casts = ['first_day' => 'date', 'last_day' => 'date', 'step' => 'float'];

    /** @return array<string, mixed> the columns that hold a record and what quality control said about it */
    public static function columnsOf(DailyRecord $asRead, QualityReport $report): array
    {
        $marks = array_map(
            static fn (Mark $m): array => [$m->day->number - $asRead->first->number, $m->element->value, $m->rule->value],
            $report->marks,
        );
        $water = $asRead->rain === null && $asRead->snow === null ? [] : [$asRead->rain, $asRead->snow];
        $json = json_encode([$asRead->minimum, $asRead->maximum, $marks, ...$water], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);

        return [
            'first_day' => $asRead->first->iso(),
            'last_day' => $asRead->last()->iso(),
            'series' => gzencode($json, 6),
            'checksum' => $report->usable->checksum(),
        ];
    }

    /** The series as it was read, with the marks of quality control. */
    public function asRead(): DailyRecord
    {
        $content = $this->content();

        return new DailyRecord($this->firstDay(), $content[0], $content[1], $content[3] ?? null, $content[4] ?? null);
    }

    /** @return list<Mark> everything that quality control questioned */
    public function marks(): array
    {
        return array_map(
            fn (array $m): Mark => new Mark($this->firstDay()->plus($m[0]), Element::from($m[1]), QualityRule::from($m[2])),
            $this->content()[2],
        );
    }

    private const BY_READERS = [QualityRule::SourceFlag, QualityRule::Duplicate, QualityRule::SumOfDays];

    /** @return list<Mark> what the file's reader marked: source flags, days given twice, sums of days; the other rules are applied again */
    public function marksOfReaders(): array
    {
        return array_values(
            array_filter(
                $this->marks(),
                static fn (Mark $m): bool => in_array($m->rule, self::BY_READERS, true),
            ),
        );
    }

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** The series of values that count: without questionable ones, unless people decided otherwise. */
    public function usable(): DailyRecord
    {
        $decisions = $this->station->decisions()->get()->map(static fn (StationDecision $d): QualityDecision => $d->toCore())->all();

        return QualityDecision::apply($this->asRead(), $this->marks(), array_values($decisions));
    }

    private function firstDay(): Day
    {
        return Day::fromIso($this->first_day->format('Y-m-d'));
    }

    /**
     * @return array{0: list<float|null>, 1: list<float|null>, 2: list<array{int, string, string}>, 3?: list<float|null>|null, 4?: list<float|null>|null}
     *     minima, maxima, marks; rain and snow, if there are any
     */
    private function content(): array
    {
        return json_decode((string) gzdecode($this->series), true, 8, JSON_THROW_ON_ERROR);
    }
}
