<?php

declare(strict_types=1);

namespace Anthesis\Record;

/**
 * A record brought up to date by a newer file of the same station: days of the file take the place of what was there, days
 * it does not hold stay. A day the file leaves blank does not wipe out a known value.
 *
 * The same thermometer read in whole °F and in tenths of °C gives numbers that differ by the rounding: where both are written
 * in different steps, values no further apart than half of both steps are one and the same, and the finer one stands.
 */
final readonly class RecordUpdate
{
    /** Values are kept to a hundredth of a degree. */
    private const KEPT = 0.005;

    /**
     * @param  DailyRecord  $updated  from the earlier first day to the later last one, as read
     * @param  list<Mark>  $marks  the readers' marks that still stand: the file's, and the old ones on days it does not change
     * @param  int  $new  values that were missing before
     * @param  int  $changed  values that were others before
     * @param  int  $unchanged  values the file repeats
     * @param  int  $kept  values the file does not hold
     * @param  float  $tolerance  °C within which two values are one and the same, for the steps both are written in
     */
    private function __construct(
        public DailyRecord $updated,
        public array $marks,
        public int $new,
        public int $changed,
        public int $unchanged,
        public int $kept,
        public float $tolerance,
    ) {
    }

    /** @return array{new: int, changed: int, unchanged: int, kept: int} values */
    public function counts(): array
    {
        return ['new' => $this->new, 'changed' => $this->changed, 'unchanged' => $this->unchanged, 'kept' => $this->kept];
    }

    /**
     * @param  DailyRecord  $before  as read
     * @param  list<Mark>  $marksBefore  the readers' marks of it
     * @param  DailyRecord  $file  as read
     * @param  list<Mark>  $marksOfFile
     * @param  float|null  $stepBefore  °C between two neighboring values as finely as the record is written; null: not known
     * @param  float|null  $stepOfFile  the same of the file
     */
    public static function of(
        DailyRecord $before,
        array $marksBefore,
        DailyRecord $file,
        array $marksOfFile,
        ?float $stepBefore = null,
        ?float $stepOfFile = null,
    ): self {
        [$rounding, $coarser] = self::rounding($stepBefore, $stepOfFile);
        $first = min($before->first->number, $file->first->number);
        $last = max($before->last()->number, $file->last()->number);
        $counts = ['new' => 0, 'changed' => 0, 'unchanged' => 0, 'kept' => 0];
        $series = $replaced = [];
        foreach (Element::cases() as $element) {
            [$old, $new] = [$before->of($element), $file->of($element)];
            if ($old === null && $new === null) {
                continue;
            }
            $within = $element->isTemperature() ? $rounding : 0.0;
            $values = [];
            for ($day = $first; $day <= $last; $day++) {
                $was = $old[$day - $before->first->number] ?? null;
                $is = $new[$day - $file->first->number] ?? null;
                $same = $is !== null && $was !== null && abs($is - $was) <= $within;
                $values[] = $same && $coarser ? $was : $is ?? $was;
                if ($is === null && $was === null) {
                    continue;
                }
                $what = match (true) {
                    $is === null => 'kept',
                    $was === null => 'new',
                    $same => 'unchanged',
                    default => 'changed',
                };
                $counts[$what]++;
                if ($what !== 'kept') {
                    $replaced["{$day} {$element->value}"] = true;
                }
            }
            $series[$element->value] = $values;
        }
        $standing = array_filter($marksBefore, static fn (Mark $m): bool => ! isset($replaced["{$m->day->number} {$m->element->value}"]));

        return new self(
            DailyRecord::ofElements(Day::fromNumber($first), $series),
            array_merge(array_values($standing), $marksOfFile),
            ...$counts,
            tolerance: $rounding,
        );
    }

    /** @return array{float, bool} °C within which two values are the same, and whether the file is the coarser of the two */
    private static function rounding(?float $before, ?float $file): array
    {
        if ($before === null || $file === null || abs($before - $file) < Tolerance::SUMS) {
            return [0.0, false];
        }

        return [($before + $file) / 2 + self::KEPT, $file > $before];
    }
}
