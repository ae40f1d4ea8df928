<?php

declare(strict_types=1);

namespace App\Sites;

use App\People\Change;
use App\People\User;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Saves or deletes a site, and computes the zones that have it again. */
final class SaveSite
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /** @param  array<string, mixed>  $values */
    public function add(array $values, User $user): Site
    {
        return DB::transaction(function () use ($values, $user): Site {
            $site = Site::query()->create($values);
            $this->compute($site, $user, Change::record('added', $site, $user, [], $site->refresh()->editedFields()));

            return $site->refresh();
        });
    }

    /** @param  array<string, mixed>  $values */
    public function edit(Site $site, array $values, int $version, User $user): Site
    {
        DB::transaction(function () use ($site, $values, $version, $user): void {
            $this->compute($site, $user, $site->editedAt($version, $user, static fn (Site $s) => $s->update($values)));
        });

        return $site->refresh();
    }

    public function takeOut(Site $site, User $user): void
    {
        DB::transaction(function () use ($site, $user): void {
            $change = Change::record('removed', $site, $user, $site->editedFields());
            $site->delete();
            $this->compute($site, $user, $change);
        });
    }

    private function compute(Site $site, User $user, ?Change $cause): void
    {
        $zones = $site->zone === null ? Zone::query()->whereHas('currentComputation')->orderBy('id')->get() : [$site->zone];
        foreach ($zones as $zone) {
            $this->queue->changed($zone, $user, $cause);
        }
    }
}
