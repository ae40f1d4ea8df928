<?php

declare(strict_types=1);

namespace App\Models;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityReport;
use Anthesis\Record\QualityRule;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * The daily series of a station after one import. Never changed: another import makes another one.
 *
 * @property int $id
 * @property int $station_id
 * @property Carbon $first_day
 * @property Carbon $last_day
 * @property string $series
 * @property string $checksum fingerprint of the usable series
 */
class StationRecord extends Model
{
    protected $table = 'records';

    protected $guarded = [];

    protected $hidden = ['series'];

    /** @var array<string, string> */
    protected $casts = ['first_day' => 'date', 'last_day' => 'date'];

    /** @return array<string, mixed> the columns that hold a record and what quality control said of it */
    public static function columnsOf(DailyRecord $asRead, QualityReport $report): array
    {
        $marks = array_map(static fn (Mark $m): array => [$m->day->number - $asRead->first->number, $m->element->value, $m->rule->value], $report->marks);
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

    /** @return list<Mark> what the readers of files marked: source flags and days given twice; the other rules are found anew */
    public function marksOfReaders(): array
    {
        $marks = [];
        foreach ($this->content()[2] as [$day, $element, $rule]) {
            if (in_array(QualityRule::from($rule), [QualityRule::SourceFlag, QualityRule::Duplicate], true)) {
                $marks[] = new Mark($this->firstDay()->plus($day), Element::from($element), QualityRule::from($rule));
            }
        }

        return $marks;
    }

    /** The series without the marked values. */
    public function usable(): DailyRecord
    {
        [$minimum, $maximum, $marks] = $this->content();
        foreach ($marks as [$day, $element]) {
            if ($element === Element::Minimum->value) {
                $minimum[$day] = null;
            } else {
                $maximum[$day] = null;
            }
        }

        return new DailyRecord($this->firstDay(), array_values($minimum), array_values($maximum));
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
