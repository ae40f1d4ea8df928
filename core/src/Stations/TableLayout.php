<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Tables\TemperatureUnit;

/**
 * The layout of a table with one row per day.
 *
 * @phpstan-type Columns array{
 *     date: int, minimum: int, maximum: int, station?: int, minimum_flags?: int, maximum_flags?: int,
 *     rain?: int, snow?: int, rain_flags?: int, snow_flags?: int,
 * }
 *
 * @internal
 */
final readonly class TableLayout
{
    /**
     * @param  list<string>  $names  of all columns
     * @param  Columns  $columns
     * @param  TemperatureUnit|null  $stated  the unit in its headings
     * @param  list<int>  $perhapsPlaces  columns that may turn out to name places
     */
    public function __construct(
        public string $delimiter,
        public array $names,
        public array $columns,
        public ?TemperatureUnit $stated,
        public DateOrder $order,
        public array $perhapsPlaces,
    ) {
    }
}
