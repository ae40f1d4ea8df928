<?php

declare(strict_types=1);

namespace App\Stations;

use App\People\Change;
use App\People\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Connects a device to a station, disconnects it, and reconnects one that was just disconnected. */
final class SaveDevice
{
    private const TOKEN_LENGTH = 40;

    /**
     * @param  User|null  $user  null: on the command line
     * @return array{StationDevice, string} the device, and its token, shown only now
     */
    public function add(Station $station, string $name, ?User $user = null): array
    {
        $token = Str::random(self::TOKEN_LENGTH);
        $device = DB::transaction(static function () use ($station, $name, $token, $user): StationDevice {
            $device = StationDevice::query()->create([
                'station_id' => $station->id,
                'name' => $name,
                'token_hash' => hash('sha256', $token),
            ]);
            Change::record('connected', $device, $user);

            return $device->refresh();
        });

        return [$device, $token];
    }

    public function end(StationDevice $device, User $user): void
    {
        DB::transaction(static function () use ($device, $user): void {
            Change::record('disconnected', $device, $user);
            $device->delete();
        });
    }

    /** With the token it had. */
    public function restore(StationDevice $device, User $user): void
    {
        DB::transaction(static function () use ($device, $user): void {
            $device->restore();
            Change::record('reconnected', $device, $user);
        });
    }
}
