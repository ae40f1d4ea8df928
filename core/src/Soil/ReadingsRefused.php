<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Words\Refused;

/** Soil readings that cannot be used to calibrate a site. */
final class ReadingsRefused extends Refused
{
}
