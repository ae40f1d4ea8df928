<?php

declare(strict_types=1);

namespace Anthesis\Messages;

/** How English writes a day; other languages have one way, their own. Messages say either, `{dates, select, month {…} other {…}}`. */
enum DateStyle: string
{
    /** "April 18" */
    case DayFirst = 'day';

    /** "April 18" */
    case MonthFirst = 'month';
}
