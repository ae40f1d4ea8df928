<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Tables\DepthUnit;

/** How a file's rain, or snow, was read. */
final readonly class MeasuredDepth
{
    /**
     * @param  string  $column  the file's own name for it
     * @param  bool  $isStated  whether the file, or its format, names the unit; false: concluded from the unit of the temperatures
     */
    public function __construct(public string $column, public DepthUnit $unit, public bool $isStated)
    {
    }
}
