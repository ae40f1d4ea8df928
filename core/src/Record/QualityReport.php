<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** What quality control found: the marks in order of day, and the record with the marked values left out. */
final readonly class QualityReport
{
    /** @param  list<Mark>  $marks */
    public function __construct(public array $marks, public DailyRecord $usable)
    {
    }
}
