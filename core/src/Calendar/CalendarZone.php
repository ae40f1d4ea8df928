<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\Latitude;

/** The zone a calendar is for, and the towns gardeners find it by. */
final readonly class CalendarZone
{
    /** @param  list<array{name: string, postcode: string|null}>  $settlements */
    public function __construct(
        public string $slug,
        public string $name,
        public string $district,
        public Latitude $latitude,
        public float $longitude,
        public int $heightM,
        public array $settlements,
    ) {
    }
}
