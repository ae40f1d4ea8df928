<?php

declare(strict_types=1);

namespace Anthesis\Season;

/** The group a task is sorted into on Today, in the order in which they are looked at. */
enum Pile: string
{
    case LastChance = 'last-chance';
    case Go = 'go';
    case HoldAWeek = 'hold-a-week';
    case Hold = 'hold';
    case FairChance = 'fair-chance';
    case Over = 'over';
}
