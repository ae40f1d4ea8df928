<?php

declare(strict_types=1);

namespace Anthesis\Log;

use Anthesis\Words\Refused;

/** An entry dates something before what must come first. */
final class OutOfOrder extends Refused
{
}
