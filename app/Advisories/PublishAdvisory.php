<?php

declare(strict_types=1);

namespace App\Advisories;

use Anthesis\Record\Day;
use App\People\Change;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Publishes an advisory, once however often it is sent; withdraws one, with the reason; and reinstates it. */
final class PublishAdvisory
{
    /** @param  list<array<string, mixed>>  $evidence  phrases */
    public function publish(
        Zone $zone,
        string $sentAs,
        ?string $ground,
        string $text,
        array $evidence,
        Day $on,
        Day $until,
        User $user,
    ): Advisory {
        return DB::transaction(static function () use ($zone, $sentAs, $ground, $text, $evidence, $on, $until, $user): Advisory {
            $advisory = Advisory::saveOnce(
                $sentAs,
                ['zone' => $zone->id, 'ground' => $ground, 'text' => $text, 'until' => $until->iso()],
                [
                    'zone_id' => $zone->id,
                    'ground' => $ground,
                    'text' => $text,
                    'evidence' => $evidence,
                    'author' => $user->name,
                    'published_on' => $on->iso(),
                    'until' => $until->iso(),
                ],
            );
            if ($advisory->wasRecentlyCreated) {
                Change::record('published', $advisory, $user, [], ['text' => $text, 'until' => $until->iso()]);
            }
            event(new AdvisoriesChanged($zone->id));

            return $advisory;
        });
    }

    public function withdraw(Advisory $advisory, string $reason, Day $on, User $user): Advisory
    {
        return DB::transaction(static function () use ($advisory, $reason, $on, $user): Advisory {
            // If two people withdraw it at the same time, the first one counts.
            $first = Advisory::query()
                ->whereKey($advisory->id)
                ->whereNull('withdrawn_on')
                ->update(['withdrawn_on' => $on->iso(), 'withdrawn_by' => $user->name, 'withdrawn_why' => $reason]);
            if ($first === 1) {
                Change::record('withdrawn', $advisory, $user, ['text' => $advisory->text], why: $reason);
            }
            event(new AdvisoriesChanged($advisory->zone_id));

            return $advisory->refresh();
        });
    }

    /** Puts a withdrawn advisory back on the pages, as if it had not been withdrawn. */
    public function reinstate(Advisory $advisory, User $user): Advisory
    {
        return DB::transaction(static function () use ($advisory, $user): Advisory {
            $first = Advisory::query()
                ->whereKey($advisory->id)
                ->whereNotNull('withdrawn_on')
                ->update(['withdrawn_on' => null, 'withdrawn_by' => null, 'withdrawn_why' => null]);
            if ($first === 1) {
                Change::record('reinstated', $advisory, $user, [], ['text' => $advisory->text]);
            }
            event(new AdvisoriesChanged($advisory->zone_id));

            return $advisory->refresh();
        });
    }
}
