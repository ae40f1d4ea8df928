<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * For a station with its decisions and who made them: each questionable value with the days around it and the decision, in order of day;
 * also values that were left out though no rule questions them.
 *
 * @property Station $resource
 */
class QualityResource extends JsonResource
{
    /** Days shown before and after. */
    private const AROUND = 2;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $record = $this->resource->record;
        if ($record === null) {
            return ['values' => []];
        }
        $decisions = $this->resource->decisions->keyBy(
            static fn (StationDecision $d): string => "{$d->day->format('Y-m-d')} {$d->element}",
        );
        $rules = [];
        foreach ($record->marks() as $mark) {
            $rules["{$mark->day->iso()} {$mark->element->value}"][] = $mark->rule->value;
        }
        foreach ($decisions->keys() as $key) {
            $rules[$key] ??= [];
        }
        ksort($rules);
        $asRead = $record->asRead();
        $values = [];
        foreach ($rules as $key => $doubts) {
            [$date, $element] = explode(' ', (string) $key);
            $values[] = [
                'date' => $date,
                'element' => $element,
                'doubts' => $doubts,
                'around' => $this->around($asRead, $date),
                'decision' => $this->decision($decisions->get($key)),
            ];
        }

        return ['values' => $values];
    }

    /** @return list<array{date: string, minimum: float|null, maximum: float|null, rain: float|null, snow: float|null}> */
    private function around(DailyRecord $record, string $date): array
    {
        $at = Day::fromIso($date)->number - $record->first->number;
        $days = [];
        for ($i = max(0, $at - self::AROUND); $i <= min($record->days() - 1, $at + self::AROUND); $i++) {
            $days[] = [
                'date' => $record->first->plus($i)->iso(),
                Element::Minimum->value => $record->minimum[$i],
                Element::Maximum->value => $record->maximum[$i],
                Element::Rain->value => $record->rain[$i] ?? null,
                Element::Snow->value => $record->snow[$i] ?? null,
            ];
        }

        return $days;
    }

    /** @return array{id: int, accepted: bool, note: string, by: string, at: string}|null */
    private function decision(?StationDecision $decision): ?array
    {
        return $decision === null
            ? null
            : [
                'id' => $decision->id,
                'accepted' => $decision->accepted,
                'note' => $decision->note,
                'by' => $decision->user->name ?? 'someone no longer here',
                'at' => $decision->created_at->toIso8601String(),
            ];
    }
}
