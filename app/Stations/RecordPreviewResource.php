<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Gap;
use Anthesis\Record\Latitude;
use Anthesis\Record\Mark;
use Anthesis\Stations\MeasuredDepth;
use Anthesis\Stations\StationExtent;
use Anthesis\Tables\RefusedRow;
use Anthesis\Words\Phrase;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Http\UploadedFile;

/** @property StationFile $resource */
class RecordPreviewResource extends JsonResource
{
    private const DELIMITERS = [',' => 'comma', ';' => 'semicolon', "\t" => 'tab', '|' => 'bar'];

    private const MOST = 100;

    public function __construct(StationFile $file, private readonly UploadedFile $upload, private readonly Latitude $latitude)
    {
        parent::__construct($file);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $reading = $this->resource->reading;
        $record = $reading->asRead;
        $marks = $this->resource->report->marks;

        return [
            'file' => $this->file(),
            'format' => $reading->format->value,
            'station' => $reading->station,
            'stations' => $this->stations(),
            'contradicted' => $reading->contradicted,
            'doubtful' => $this->resource->isDoubtful(),
            'cold_seasons' => $this->coldSeasons(),
            'columns' => $reading->columns,
            'choices' => $reading->choices,
            'date_order' => $reading->dateOrder->value,
            'unit' => $reading->unit->value,
            'unit_stated' => $reading->unitStated,
            'depths' => (object) array_map(
                static fn (MeasuredDepth $d): array => ['column' => $d->column, 'unit' => $d->unit->value, 'stated' => $d->isStated],
                $reading->depths,
            ),
            'delimiter' => $reading->delimiter === null ? null : self::DELIMITERS[$reading->delimiter],
            'rows' => $reading->rows,
            'first' => $record->first->iso(),
            'last' => $record->last()->iso(),
            'years' => $this->years($record),
            'gaps' => $this->gaps($record),
            'update' => $this->resource->update?->counts(),
            'refused' => $this->refused(),
            'refused_count' => $reading->refusedCount,
            'marks' => $this->marks($marks),
            'marks_count' => count($marks),
            'sample' => $this->sample($record),
        ];
    }

    /** @return array<string, mixed> */
    private function file(): array
    {
        return [
            'name' => mb_scrub($this->upload->getClientOriginalName()),
            'bytes' => $this->upload->getSize(),
            'checksum' => hash_file('sha256', $this->upload->getRealPath()),
        ];
    }

    /** @return list<array{station: string, first: string, last: string, rows: int}> */
    private function stations(): array
    {
        return array_map(
            static fn (StationExtent $s): array => ['station' => $s->station, 'first' => $s->first, 'last' => $s->last, 'rows' => $s->rows],
            $this->resource->stations,
        );
    }

    /** @return list<array{line: int, column: string, phrase: Phrase}> */
    private function refused(): array
    {
        return array_map(
            static fn (RefusedRow $r): array => ['line' => $r->line, 'column' => $r->column, 'phrase' => $r->reason],
            $this->resource->reading->refused,
        );
    }

    /**
     * @param  list<Mark>  $marks
     * @return list<array{date: string, element: string, rule: string}>
     */
    private function marks(array $marks): array
    {
        return array_map(
            static fn (Mark $m): array => ['date' => $m->day->iso(), 'element' => $m->element->value, 'rule' => $m->rule->value],
            array_slice($marks, 0, self::MOST),
        );
    }

    /** @return list<array{date: string, minimum: float|null, maximum: float|null, rain: float|null, snow: float|null}> the first days */
    private function sample(DailyRecord $record): array
    {
        return array_map(
            static fn (int $i): array => [
                'date' => $record->first->plus($i)->iso(),
                'minimum' => $record->minimum[$i],
                'maximum' => $record->maximum[$i],
                'rain' => $record->rain[$i] ?? null,
                'snow' => $record->snow[$i] ?? null,
            ],
            range(0, min(4, $record->days() - 1)),
        );
    }

    private function coldSeasons(): int
    {
        $usable = $this->resource->report->usable;

        return FreezeStatistics::of($usable, $this->latitude, FreezeThreshold::LightFreeze->celsius())->count();
    }

    /** @return list<array{year: int, days: int, complete: bool}> */
    private function years(DailyRecord $record): array
    {
        $days = [];
        foreach ($record->minimum as $i => $minimum) {
            $year = $record->first->plus($i)->year();
            $days[$year] = ($days[$year] ?? 0) + ($minimum !== null && $record->maximum[$i] !== null ? 1 : 0);
        }
        $years = [];
        foreach ($days as $year => $count) {
            $years[] = ['year' => $year, 'days' => $count, 'complete' => $count === (Day::isLeap($year) ? 366 : 365)];
        }

        return $years;
    }

    /** @return list<array{first: string, days: int}> */
    private function gaps(DailyRecord $record): array
    {
        $gaps = array_filter($record->gaps(), static fn (Gap $g): bool => $g->days > 1);
        usort($gaps, static fn (Gap $a, Gap $b): int => $b->days <=> $a->days);

        return array_map(static fn (Gap $g): array => ['first' => $g->first->iso(), 'days' => $g->days], array_slice($gaps, 0, 10));
    }
}
