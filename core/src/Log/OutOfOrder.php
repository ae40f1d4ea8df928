<?php

declare(strict_types=1);

namespace Anthesis\Log;

use Anthesis\Words\Refused;

/** Something is told of a sowing on a day before what must come first. */
final class OutOfOrder extends Refused
{
}
