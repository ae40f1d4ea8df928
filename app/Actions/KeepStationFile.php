<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Computation;
use App\Models\RecordImport;
use App\Models\Station;
use App\Models\User;
use App\Models\Zone;
use App\Support\StationFile;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Keeps a station file as it was brought and sets its import and the zone's computing going.
 *
 * @phpstan-import-type Choices from StationFile
 */
final class KeepStationFile
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /** @param  Choices  $choices what a person overruled */
    public function execute(Zone $zone, UploadedFile $file, array $choices, User $user): Computation
    {
        $checksum = (string) hash_file('sha256', $file->getRealPath());
        if (! Storage::disk('originals')->exists($checksum)) {
            Storage::disk('originals')->putFileAs('', $file, $checksum);
        }

        return DB::transaction(function () use ($zone, $file, $choices, $user, $checksum): Computation {
            $station = Station::query()->firstOrCreate(['zone_id' => $zone->id, 'rank' => 1], ['name' => "{$zone->name} station"]);
            $import = RecordImport::query()->create([
                'station_id' => $station->id,
                'user_id' => $user->id,
                'file' => mb_substr(mb_scrub($file->getClientOriginalName()), 0, 200),
                'bytes' => $file->getSize(),
                'checksum' => $checksum,
                'choices' => $choices,
                'state' => RecordImport::QUEUED,
            ]);

            return $this->queue->execute($zone, $user, $import);
        });
    }
}
