<?php

declare(strict_types=1);

namespace App\TrackRecord;

use App\Operations\NamedLock;
use App\Zones\InOfficeOfZone;
use App\Zones\Zone;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Judges this season's counts of a zone, year by year, a few minutes at a time so other work gets its turn. Safe to run again after a
 * worker was killed: what is judged is kept.
 */
final class KeepMorningsJob implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $timeout = 600;

    public int $uniqueFor = 600;

    /** Seconds after which the rest waits for another turn. */
    private const TURN = 120;

    public function __construct(private readonly int $zoneId)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->zoneId;
    }

    /** @return list<object> */
    public function middleware(): array
    {
        return [new InOfficeOfZone($this->zoneId)];
    }

    public function handle(ZoneHoldOrGo $record): void
    {
        $lock = NamedLock::take("mornings-{$this->zoneId}");
        if ($lock === null) {
            return;
        }
        try {
            $zone = Zone::query()->findOrFail($this->zoneId);
            $until = time() + self::TURN;
            do {
                $more = $record->keepOne($zone);
            } while ($more && time() < $until);
        } finally {
            $lock->release();
        }
        if ($more) {
            self::dispatch($this->zoneId);
        }
    }
}
