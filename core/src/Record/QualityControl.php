<?php

declare(strict_types=1);

namespace Anthesis\Record;

/**
 * Marks questionable values. A marked value stays in the record as read, and is left out of the usable one.
 *
 * Rules: maximum below minimum; outside −70…60 °C; more than 25 °C from both neighboring days; the tenth or later day of an unbroken run of
 * equal temperatures; rain outside 0…600 mm, snow outside 0…1,000 cm; a day after today; and whatever the file's reader already marked (the
 * source's own flag, a day given twice with different values, the sum of several days).
 */
final class QualityControl
{
    public const LOWEST = -70.0;

    public const HIGHEST = 60.0;

    /** The most rain in a day, mm, and the deepest snow, cm, that are accepted. */
    private const MOST = ['rain' => 600.0, 'snow' => 1000.0];

    public const SPIKE = 25.0;

    public const RUN = 10;

    /**
     * @param  list<Mark>  $fromSource  marks from the reader of the file
     * @param  Day|null  $today  later days are marked; null: the future is not checked
     */
    public function check(DailyRecord $asRead, array $fromSource = [], ?Day $today = null): QualityReport
    {
        $marks = $fromSource;
        foreach ([Element::Minimum, Element::Maximum] as $element) {
            $values = $element === Element::Minimum ? $asRead->minimum : $asRead->maximum;
            foreach ($this->rulesBroken($values) as [$i, $rule]) {
                $marks[] = new Mark($asRead->first->plus($i), $element, $rule);
            }
        }
        foreach ($asRead->minimum as $i => $minimum) {
            $maximum = $asRead->maximum[$i];
            $broken = match (true) {
                $today !== null && $asRead->first->number + $i > $today->number => QualityRule::Future,
                $minimum !== null && $maximum !== null && $maximum < $minimum => QualityRule::MaximumBelowMinimum,
                default => null,
            };
            if ($broken !== null) {
                $day = $asRead->first->plus($i);
                $marks[] = new Mark($day, Element::Minimum, $broken);
                $marks[] = new Mark($day, Element::Maximum, $broken);
            }
        }
        $marks = [...$marks, ...$this->marksOfWater($asRead, $today)];
        usort(
            $marks,
            static fn (Mark $a, Mark $b): int => $a->day->number <=> $b->day->number ?: strcmp($a->element->value, $b->element->value),
        );

        return new QualityReport($marks, $this->without($asRead, $marks));
    }

    /** @return list<Mark> for rain and snow */
    private function marksOfWater(DailyRecord $asRead, ?Day $today): array
    {
        $marks = [];
        foreach ([Element::Rain, Element::Snow] as $element) {
            foreach ($asRead->of($element) ?? [] as $i => $value) {
                $rule = match (true) {
                    $value === null => null,
                    $today !== null && $asRead->first->number + $i > $today->number => QualityRule::Future,
                    $value < 0.0 || $value > self::MOST[$element->value] => QualityRule::OutOfRange,
                    default => null,
                };
                if ($rule !== null) {
                    $marks[] = new Mark($asRead->first->plus($i), $element, $rule);
                }
            }
        }

        return $marks;
    }

    /**
     * @param  list<float|null>  $values
     * @return iterable<array{int, QualityRule}>
     */
    private function rulesBroken(array $values): iterable
    {
        $run = 0;
        $last = count($values) - 1;
        foreach ($values as $i => $value) {
            if ($value === null) {
                $run = 0;

                continue;
            }
            $before = $i > 0 ? $values[$i - 1] : null;
            $after = $i < $last ? $values[$i + 1] : null;
            $run = $before === $value ? $run + 1 : 1;
            if ($value < self::LOWEST || $value > self::HIGHEST) {
                yield [$i, QualityRule::OutOfRange];
            } elseif ($before !== null && $after !== null && abs($value - $before) > self::SPIKE && abs($value - $after) > self::SPIKE) {
                yield [$i, QualityRule::Spike];
            }
            if ($run >= self::RUN) {
                yield [$i, QualityRule::RunOfEqualValues];
            }
        }
    }

    /** @param  list<Mark>  $marks */
    private function without(DailyRecord $record, array $marks): DailyRecord
    {
        $out = [];
        foreach ($marks as $mark) {
            $out[$mark->element->value][$mark->day->number - $record->first->number] = null;
        }

        return $record->map(
            static fn (array $values, Element $element): array => array_values(array_replace($values, $out[$element->value] ?? [])),
        );
    }
}
