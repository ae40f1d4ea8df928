<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use JsonSerializable;

/** The heat that ends a crop: a number of days with a maximum at or above a temperature; and the heat that kills seedlings. */
final readonly class HeatLimit implements JsonSerializable
{
    /**
     * @param  float  $maximumC  daily maximum, °C
     * @param  int  $days  how many of them end it
     * @param  float  $fromShare  share of growth from which they count
     * @param  float|null  $youngC  daily maximum that kills young plants if it is reached repeatedly, °C; null: none
     */
    public function __construct(public float $maximumC, public int $days, public float $fromShare, public ?float $youngC = null)
    {
    }

    /**
     * @return array<mixed> for fingerprints: a crop whose seedlings stand any heat keeps the fingerprint it had before there was such a
     *   number
     */
    public function jsonSerialize(): array
    {
        return array_diff_key(get_object_vars($this), $this->youngC !== null ? [] : ['youngC' => true]);
    }
}
