<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** One value that quality control keeps but does not use, and the reason. */
final readonly class Mark
{
    public function __construct(public Day $day, public Element $element, public QualityRule $rule)
    {
    }
}
