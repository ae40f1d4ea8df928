<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Operations\NamedLock;
use App\Zones\InOfficeOfZone;
use App\Zones\Zone;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Figures a zone's season again, as Today shows it, and updates "this week". Safe to run again, and twice at once. */
final class RenderSeasonJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public int $backoff = 10;

    public function __construct(private readonly int $zoneId)
    {
    }

    /** @return list<object> */
    public function middleware(): array
    {
        return [new InOfficeOfZone($this->zoneId)];
    }

    public function handle(SeasonPage $page): void
    {
        $lock = NamedLock::take("season-{$this->zoneId}");
        if ($lock === null) {
            return;
        }
        try {
            $page->turn(Zone::query()->findOrFail($this->zoneId));
        } finally {
            $lock->release();
        }
    }
}
