<?php

declare(strict_types=1);

namespace App\Office;

/** Sent when the watering rules that gardeners see have changed. */
final readonly class WaterRulesChanged
{
}
