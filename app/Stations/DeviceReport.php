<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Tables\CsvText;
use Anthesis\Tables\FormatError;

/**
 * A device's report compared with the record: recent days that the record does not have yet, which are imported, and values that differ
 * from the record, which somebody decides about. A token can be stolen, so a device never reaches further back, and never changes what is
 * known.
 */
final readonly class DeviceReport
{
    /** How far back a device may report, in days before today. */
    public const DAYS_BACK = 45;

    /**
     * @param  DailyRecord|null  $new  what the record does not have, or repeats; null: it has all of it
     * @param  list<array{day: Day, element: Element, was: float, value: float}>  $corrections
     */
    private function __construct(public ?DailyRecord $new, public array $corrections)
    {
    }

    /** @throws FormatError if it reaches too far back */
    public static function of(StationFile $file, ?StationRecord $record, Day $today): self
    {
        $reported = $file->reading->asRead;
        $earliest = $today->plus(-self::DAYS_BACK);
        if ($reported->first->isBefore($earliest)) {
            throw FormatError::inFile('report.too-old', ['day' => $reported->first->iso(), 'most' => self::DAYS_BACK]);
        }
        $before = $record?->asRead();
        if ($before !== null && $reported->first->isBefore($before->first)) {
            throw FormatError::inFile('report.before-record', ['day' => $reported->first->iso(), 'first' => $before->first->iso()]);
        }
        $corrections = [];
        $isNew = false;
        $values = [];
        foreach (Element::cases() as $element) {
            $own = $reported->of($element);
            if ($own === null) {
                continue;
            }
            $known = $before?->of($element) ?? [];
            $tolerance = $element->isTemperature() ? $file->tolerance() : 0.0;
            $values[$element->value] = $own;
            foreach ($own as $i => $value) {
                $day = $reported->first->plus($i);
                $was = $before === null ? null : $known[$day->number - $before->first->number] ?? null;
                $isNew = $isNew || ($value !== null && $was === null);
                if ($value !== null && $was !== null && abs($value - $was) > $tolerance) {
                    $corrections[] = ['day' => $day, 'element' => $element, 'was' => $was, 'value' => $value];
                    $values[$element->value][$i] = null;
                }
            }
        }

        return new self($isNew ? DailyRecord::ofElements($reported->first, $values) : null, $corrections);
    }

    /** @return string what is new, as a station file; days without a value are left out */
    public static function csv(DailyRecord $record): string
    {
        $columns = array_filter(
            StationColumns::NAMES,
            static fn (string $of): bool => $record->of(Element::from($of)) !== null,
            ARRAY_FILTER_USE_KEY,
        );
        $rows = [['date', ...array_values($columns)]];
        foreach (array_keys($record->minimum) as $i) {
            $values = array_map(static fn (string $of): ?float => $record->of(Element::from($of))[$i] ?? null, array_keys($columns));
            if (array_filter($values, static fn (?float $value): bool => $value !== null) !== []) {
                $rows[] = [$record->first->plus($i)->iso(), ...$values];
            }
        }

        return CsvText::of($rows, "\n");
    }
}
