<?php

declare(strict_types=1);

namespace App\Editions;

use App\People\Change;
use App\People\User;
use Illuminate\Support\Facades\DB;

/**
 * Withdraws an edition. One that is waiting never becomes current. One that was current keeps its address, with a notice on every page, and
 * gardeners read the one before it.
 */
final class WithdrawEdition
{
    /** @throws CannotPublish */
    public function execute(Edition $edition, string $reason, User $user): void
    {
        DB::transaction(static function () use ($edition, $reason, $user): void {
            $locked = Edition::query()->with('zone')->whereKey($edition->id)->lockForUpdate()->firstOrFail();
            if ($locked->withdrawn_on !== null) {
                return;
            }
            $publication = Publication::query()->where('edition_id', $locked->id)->lockForUpdate()->first();
            if ($locked->in_force_at === null && $publication?->state !== PublicationState::Waiting) {
                throw new CannotPublish(
                    "The pages of edition {$locked->number} are being made. Wait until it is current, then withdraw it.",
                    'reason',
                );
            }
            $locked->update([
                'standing' => false,
                'withdrawn_on' => $locked->zone->today()->iso(),
                'withdrawn_by' => $user->name,
                'withdrawn_why' => $reason,
            ]);
            Change::record('withdrawn', $locked, $user, why: $reason);
            $publication?->update(['state' => PublicationState::Done]);
            if ($locked->in_force_at !== null) {
                event(new EditionWithdrawn($locked->id, $locked->zone->currentEdition()->value('id')));
            }
        });
    }
}
