<?php

declare(strict_types=1);

namespace App\Office;

/** Told when what gardeners are told of watering rules is no longer what it was. */
final readonly class WaterRulesChanged
{
}
