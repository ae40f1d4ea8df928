<?php

declare(strict_types=1);

namespace App\Zones;

use Anthesis\Crop\LightSchool;
use Anthesis\Window\ProofStandard;
use App\People\User;
use Illuminate\Support\Facades\DB;

/** Chooses a zone's confidence level, how light counts, and whether windows wait for soil and ground, and computes it again. */
final class ChooseMethod
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    public function execute(
        Zone $zone,
        ProofStandard $standard,
        LightSchool $light,
        bool $waitsForSoil,
        bool $waitsForGround,
        int $version,
        User $user,
    ): Computation {
        return DB::transaction(function () use ($zone, $standard, $light, $waitsForSoil, $waitsForGround, $version, $user): Computation {
            $change = $zone->editedAt(
                $version,
                $user,
                static fn (Zone $z) => $z->update([
                    'standard' => $standard->value,
                    'light' => $light->value,
                    'waits_for_soil' => $waitsForSoil,
                    'waits_for_ground' => $waitsForGround,
                ]),
            );

            return $this->queue->changed($zone, $user, $change);
        });
    }
}
