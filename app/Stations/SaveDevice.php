<?php

declare(strict_types=1);

namespace App\Stations;

use Illuminate\Support\Str;

/** Lets a device report for a station, and ends one. */
final class SaveDevice
{
    private const TOKEN_LENGTH = 40;

    /** @return array{StationDevice, string} the device, and its token: told this once */
    public function add(Station $station, string $name): array
    {
        $token = Str::random(self::TOKEN_LENGTH);

        return [
            StationDevice::query()
                ->create(['station_id' => $station->id, 'name' => $name, 'token_hash' => hash('sha256', $token)])
                ->refresh(),
            $token,
        ];
    }

    public function end(StationDevice $device): void
    {
        $device->delete();
    }
}
