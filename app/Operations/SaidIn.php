<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;

/** The units and date style of the answer; set again for each request of a person who chose their own. */
final readonly class SaidIn
{
    public function __construct(public UnitSystem $units = UnitSystem::Metric, public DateStyle $dates = DateStyle::DayFirst)
    {
    }
}
