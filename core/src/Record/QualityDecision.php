<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** A person's word on one value: it counts although quality control doubts it, or it does not although nothing does. */
final readonly class QualityDecision
{
    public function __construct(public Day $day, public Element $element, public bool $accepted)
    {
    }

    /**
     * A record with the values that count: what quality control marked is left out unless it was accepted, and what was
     * refused is left out in any case.
     *
     * @param  list<Mark>  $marks
     * @param  list<self>  $decisions  one a value at most
     */
    public static function apply(DailyRecord $asRead, array $marks, array $decisions): DailyRecord
    {
        $out = [];
        foreach ($marks as $mark) {
            $out[$mark->element->value][$mark->day->number] = true;
        }
        foreach ($decisions as $decision) {
            $out[$decision->element->value][$decision->day->number] = ! $decision->accepted;
        }

        return $asRead->map(
            static fn (array $values, Element $element): array => self::without(
                $values,
                $asRead->first->number,
                $out[$element->value] ?? [],
            ),
        );
    }

    /**
     * @param  list<float|null>  $values
     * @param  array<int, bool>  $out  by day
     * @return list<float|null>
     */
    private static function without(array $values, int $first, array $out): array
    {
        foreach ($out as $day => $left) {
            if ($left && array_key_exists($day - $first, $values)) {
                $values[$day - $first] = null;
            }
        }

        return $values;
    }
}
