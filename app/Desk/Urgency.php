<?php

declare(strict_types=1);

namespace App\Desk;

/** How soon something needs attention, soonest first. */
enum Urgency: string
{
    case Tonight = 'tonight';
    case ThisWeek = 'week';
    case ToDecide = 'decide';
}
