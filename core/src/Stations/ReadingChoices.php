<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Day;
use Anthesis\Tables\DepthUnit;
use Anthesis\Tables\TemperatureUnit;

/** A person's corrections to what a file seems to say; null: as found. */
final readonly class ReadingChoices
{
    /**
     * @param  Day|null  $today  a later day rejects the file; null: any day is accepted
     * @param  array{date: int, minimum: int, maximum: int, rain?: int, snow?: int}|null  $columns  counted from 0; for rain and snow, −1:
     *   there is none
     * @param  int|null  $places  the column that names places or stations, counted from 0; −1: there is none; null: as found
     * @param  DepthUnit|null  $rain  the unit of rain, $snow: of the depth of snow
     * @param  string|null  $station  which station's values to use from a file with several
     */
    public function __construct(
        public ?Day $today = null,
        public ?TemperatureUnit $unit = null,
        public ?array $columns = null,
        public ?string $delimiter = null,
        public ?DateOrder $dateOrder = null,
        public ?string $station = null,
        public ?int $places = null,
        public ?DepthUnit $rain = null,
        public ?DepthUnit $snow = null,
    ) {
    }

    public function withPlaces(int $column): self
    {
        return new self(
            $this->today,
            $this->unit,
            $this->columns,
            $this->delimiter,
            $this->dateOrder,
            $this->station,
            $column,
            $this->rain,
            $this->snow,
        );
    }
}
