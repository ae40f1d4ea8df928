<?php

declare(strict_types=1);

namespace App\Stations;

/** The column names of our own station files, by value of Element. */
final class StationColumns
{
    public const NAMES = ['minimum' => 'tmin_c', 'maximum' => 'tmax_c', 'rain' => 'rain_mm', 'snow' => 'snow_cm'];
}
