<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Publication;
use App\Editions\PublicationState;
use App\Gardener\RenderEditionJob;
use App\Log\ImportLogJob;
use App\Log\LogImport;
use App\Log\LogImportState;
use App\Operations\Heartbeat;
use App\Operations\NamedLock;
use App\Results\ComputeZoneJob;
use App\Zones\Computation;
use App\Zones\ComputationState;
use Illuminate\Console\Command;

/**
 * Picks up what a killed worker left behind. Each worker holds a lock that is released with its connection: work that is in progress and
 * not locked has nobody, however long the queue would still wait for it.
 */
class Resume extends Command
{
    /** Something queued this long may have lost its job; a second one does no harm. */
    private const WAITED_S = 60;

    private const FAILED_AGAIN_S = 300;

    protected $signature = 'anthesis:resume';

    protected $description = 'Pick up computations and publications that a killed worker left behind';

    public function handle(): int
    {
        Heartbeat::beat(Heartbeat::SCHEDULER);
        $this->computations();
        $this->publications();
        $this->imports();

        return self::SUCCESS;
    }

    private function computations(): void
    {
        $zones = Computation::query()
            ->where('state', ComputationState::Running)
            ->orWhere(
                static fn ($q) => $q->where('state', ComputationState::Queued)->where('updated_at', '<', now()->subSeconds(self::WAITED_S)),
            )
            ->distinct()
            ->pluck('zone_id');
        foreach ($zones as $zone) {
            if (NamedLock::isFree(ComputeZoneJob::lockOf((int) $zone))) {
                Computation::query()
                    ->where('zone_id', $zone)
                    ->where('state', ComputationState::Queued)
                    ->update(['updated_at' => now()]);
                ComputeZoneJob::dispatch((int) $zone);
                $this->line("zone {$zone} is taken up again");
            }
        }
    }

    private function publications(): void
    {
        $publications = Publication::query()
            ->where('state', PublicationState::Running)
            ->orWhere(
                static fn ($q) => $q->where('state', PublicationState::Queued)->where('updated_at', '<', now()->subSeconds(self::WAITED_S)),
            )
            ->orWhere(
                static fn ($q) => $q
                    ->where('state', PublicationState::Failed)
                    ->where('updated_at', '<', now()->subSeconds(self::FAILED_AGAIN_S)),
            )
            ->get();
        foreach ($publications as $publication) {
            if (NamedLock::isFree(RenderEditionJob::lockOf($publication->edition_id))) {
                $publication->touch();
                RenderEditionJob::dispatch($publication->edition_id);
                $this->line("edition {$publication->edition_id} is taken up again");
            }
        }
    }

    private function imports(): void
    {
        $imports = LogImport::query()
            ->where('state', LogImportState::Running)
            ->orWhere(
                static fn ($q) => $q->where('state', LogImportState::Queued)->where('updated_at', '<', now()->subSeconds(self::WAITED_S)),
            )
            ->get();
        foreach ($imports as $import) {
            if (NamedLock::isFree(ImportLogJob::lockOf($import->id))) {
                $import->touch();
                ImportLogJob::dispatch($import->id);
                $this->line("the import of {$import->file} is taken up again");
            }
        }
    }
}
