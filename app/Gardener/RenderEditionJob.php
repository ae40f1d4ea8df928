<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Editions\Edition;
use App\Editions\Publication;
use App\Editions\PublicationState;
use App\Operations\NamedLock;
use App\Operations\OfficeInUse;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use RuntimeException;
use Throwable;

/** Makes the pages of an edition, and makes a new one current once they are there. Safe to run again after a worker was killed. */
final class RenderEditionJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    public int $timeout = 600;

    public int $backoff = 5;

    public function __construct(private readonly int $editionId)
    {
    }

    public static function lockOf(int $editionId): string
    {
        return "edition-{$editionId}";
    }

    public function handle(PublicSite $site): void
    {
        $lock = NamedLock::take(self::lockOf($this->editionId));
        if ($lock === null) {
            return;
        }
        try {
            $edition = Edition::query()->with('zone')->findOrFail($this->editionId);
            OfficeInUse::within($edition->zone->office_id, fn () => $this->render($edition, $site));
        } finally {
            $lock->release();
        }
    }

    public function failed(?Throwable $error): void
    {
        $this->publication()?->update([
            'state' => PublicationState::Failed,
            'error' => 'The pages could not be made, so the edition is not current. Tell an administrator; it will be tried again when the application starts.',
        ]);
    }

    private function render(Edition $edition, PublicSite $site): void
    {
        $publication = $this->publication();
        $publication?->update(['state' => PublicationState::Running]);
        $failed = $site->build($edition, static function (int $done, int $total) use ($publication): void {
            $publication?->update(['done' => $done, 'total' => $total]);
        });
        if ($edition->in_force_at === null && $failed !== []) {
            // Nothing is published half finished. In a current edition the other pages stay, and anthesis:verify reports these.
            throw new RuntimeException(
                count($failed).
                    ' pages of the edition cannot be made, '.
                    array_key_first($failed).
                    ' among them: '.
                    array_values($failed)[0],
            );
        }
        if ($edition->in_force_at === null) {
            $edition->putInForce();
        }
        $site->turnTo($edition->zone->refresh());
        RenderSeasonJob::dispatch($edition->zone_id)->onQueue('sites');
        $publication?->update(['state' => PublicationState::Done]);
    }

    private function publication(): ?Publication
    {
        return Publication::query()->where('edition_id', $this->editionId)->where('state', '!=', PublicationState::Done)->first();
    }
}
