<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Record\Day;
use Anthesis\Soil\ReadingsRefused;
use Anthesis\Soil\Settling;
use App\People\User;

/** Saves a reading of a spot, fitted if its figures were still moving; sent twice, it is saved once. Also withdraws one. */
final class KeepReading
{
    /**
     * @param  list<array{float, float}>  $figures  seconds and °C
     * @param  float|null  $celsius  one settled figure, if none were moving
     *
     * @throws ReadingsRefused if the figures cannot be fitted
     */
    public function keep(
        SoilSpot $spot,
        ?User $user,
        string $sentAs,
        Day $day,
        float $hour,
        float $depth,
        array $figures,
        ?float $celsius,
        bool $simulated,
    ): SoilReading {
        $fit = $figures === [] ? null : Settling::of($figures);

        return SoilReading::saveOnce(
            $sentAs,
            ['spot' => $spot->id, 'day' => $day->iso(), 'hour' => $hour, 'depth' => $depth, 'figures' => $figures, 'celsius' => $celsius],
            [
                'soil_spot_id' => $spot->id,
                'user_id' => $user?->id,
                'day' => $day->iso(),
                'hour' => $hour,
                'depth' => $depth,
                'celsius' => round($fit->celsius ?? (float) $celsius, 2),
                'within' => $fit?->within === null ? null : round($fit->within, 2),
                'figures' => $figures,
                'source' => $fit === null ? SoilReading::TYPED : ($simulated ? SoilReading::SIMULATED : SoilReading::TIMER),
            ],
        );
    }

    public function withdraw(SoilReading $reading, User $user): void
    {
        SoilReading::query()
            ->whereKey($reading->id)
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => now(), 'withdrawn_by' => $user->id]);
    }
}
