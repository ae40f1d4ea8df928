<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Words\Refused;

/** An outlook that does not continue the record. */
final class OutlookRefused extends Refused
{
}
