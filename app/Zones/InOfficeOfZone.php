<?php

declare(strict_types=1);

namespace App\Zones;

use App\Operations\OfficeInUse;
use Closure;

/** Lets a job on a zone see only the zone's office. */
final readonly class InOfficeOfZone
{
    public function __construct(private int $zoneId)
    {
    }

    /** @param  Closure(object): mixed  $next */
    public function handle(object $job, Closure $next): mixed
    {
        $office = OfficeInUse::everywhere(fn (): ?int => Zone::query()->whereKey($this->zoneId)->value('office_id'));

        // Nothing is done for a zone that is gone.
        return $office === null ? null : OfficeInUse::within($office, static fn (): mixed => $next($job));
    }
}
