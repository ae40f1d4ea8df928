<?php

declare(strict_types=1);

namespace Anthesis\Messages;

/** How English writes a day; other languages have only one way. Messages can say either: `{dates, select, month {…} other {…}}`. */
enum DateStyle: string
{
    /** "18 April" */
    case DayFirst = 'day';

    /** "April 18" */
    case MonthFirst = 'month';
}
