<?php

declare(strict_types=1);

namespace Anthesis\Log;

/** Why a planting was lost; `cause.<value>` in words. */
enum LossCause: string
{
    case Cold = 'cold';
    case Heat = 'heat';
    case Frost = 'frost';
    case Pests = 'pests';
    case Drowned = 'drowned';
    case DriedOut = 'dried-out';
    case Other = 'other';
}
