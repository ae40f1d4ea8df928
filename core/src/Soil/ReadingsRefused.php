<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Words\Refused;

/** Soil readings a site cannot be calibrated by. */
final class ReadingsRefused extends Refused
{
}
