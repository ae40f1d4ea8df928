<?php

declare(strict_types=1);

namespace Anthesis\Record;

/**
 * A record brought up to date by a newer file of the same station: days of the file take the place of what was there, days
 * it does not hold stay. A day the file leaves blank does not wipe out a known value.
 */
final readonly class RecordUpdate
{
    /**
     * @param  DailyRecord  $updated  from the earlier first day to the later last one, as read
     * @param  list<Mark>  $marks  the readers' marks that still stand: the file's, and the old ones on days it does not change
     * @param  int  $new  values that were missing before
     * @param  int  $changed  values that were others before
     * @param  int  $unchanged  values the file repeats
     * @param  int  $kept  values the file does not hold
     */
    private function __construct(
        public DailyRecord $updated,
        public array $marks,
        public int $new,
        public int $changed,
        public int $unchanged,
        public int $kept,
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
     */
    public static function of(DailyRecord $before, array $marksBefore, DailyRecord $file, array $marksOfFile): self
    {
        $first = min($before->first->number, $file->first->number);
        $last = max($before->last()->number, $file->last()->number);
        $counts = ['new' => 0, 'changed' => 0, 'unchanged' => 0, 'kept' => 0];
        $series = [Element::Minimum->value => [], Element::Maximum->value => []];
        $replaced = [];
        foreach ([[Element::Minimum, $before->minimum, $file->minimum], [Element::Maximum, $before->maximum, $file->maximum]] as [$element, $old, $new]) {
            $values = [];
            for ($day = $first; $day <= $last; $day++) {
                $was = $old[$day - $before->first->number] ?? null;
                $is = $new[$day - $file->first->number] ?? null;
                $values[] = $is ?? $was;
                if ($is === null && $was === null) {
                    continue;
                }
                $what = match (true) {
                    $is === null => 'kept',
                    $was === null => 'new',
                    $was === $is => 'unchanged',
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
            new DailyRecord(Day::fromNumber($first), $series['minimum'], $series['maximum']),
            array_merge(array_values($standing), $marksOfFile),
            ...$counts,
        );
    }
}
