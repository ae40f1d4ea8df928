<?php

declare(strict_types=1);

namespace App\Desk;

/** By when something needs somebody, the soonest first. */
enum Urgency: string
{
    case Tonight = 'tonight';
    case ThisWeek = 'week';
    case ToDecide = 'decide';
}
