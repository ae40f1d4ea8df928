<?php

declare(strict_types=1);

namespace App\Editions;

/** Has the pages made of all editions that are done waiting: signed if that was required, and their date has come. */
final class ReleaseEditions
{
    public function execute(): void
    {
        foreach (Publication::query()->with('edition.zone')->where('state', PublicationState::Waiting)->get() as $publication) {
            // Whoever takes it from the waiting ones first sends it on.
            if (
                ! $publication->edition->isWaiting($publication->edition->zone->today()) &&
                Publication::query()
                    ->whereKey($publication->id)
                    ->where('state', PublicationState::Waiting)
                    ->update(['state' => PublicationState::Queued]) === 1
            ) {
                event(new EditionFrozen($publication->edition_id));
            }
        }
    }
}
