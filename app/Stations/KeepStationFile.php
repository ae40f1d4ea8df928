<?php

declare(strict_types=1);

namespace App\Stations;

use App\Operations\FileStore;
use App\People\Change;
use App\People\User;
use App\Zones\Computation;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/**
 * Keeps a station file as it was uploaded, and starts its import and the zone's computation.
 *
 * @phpstan-import-type Choices from StationFile
 */
final class KeepStationFile
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /**
     * @param  Station|null  $station  whose file it is; null: a new station's, as the primary one or the next to fill gaps
     * @param  Choices  $choices  a person's corrections
     * @param  User|null  $user  who uploaded it; null: the station reported it on its own
     * @param  array{name?: string|null, height_m?: int|null}  $new  about a new station
     * @param  string|null  $sentAs  a key of the sender's: the same file sent again with it is kept once
     */
    public function execute(
        Zone $zone,
        ?Station $station,
        UploadedFile $file,
        array $choices,
        ?User $user,
        array $new = [],
        ?string $sentAs = null,
    ): Computation {
        $checksum = FileStore::on('originals')->saveUpload($file);

        return DB::transaction(function () use ($zone, $station, $file, $choices, $user, $checksum, $new, $sentAs): Computation {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $content = ['zone' => $zone->id, 'station' => $station?->id, 'new' => $new, 'checksum' => $checksum, 'choices' => $choices];
            $before = $sentAs === null ? null : RecordImport::sentBefore($sentAs, $content);
            if ($before !== null) {
                return Computation::query()->where('record_import_id', $before->id)->firstOrFail();
            }
            $station ??= $this->addStation($zone, $new);
            $import = RecordImport::query()->create([
                'station_id' => $station->id,
                'user_id' => $user?->id,
                'file' => mb_substr(mb_scrub($file->getClientOriginalName()), 0, 200),
                'bytes' => $file->getSize(),
                'checksum' => $checksum,
                'choices' => $choices,
                'state' => RecordImportState::Queued,
                'idempotency_key' => $sentAs,
                'idempotency_hash' => $sentAs === null ? null : RecordImport::hashOf($content),
            ]);

            $is = ['file' => $import->file, 'checksum' => $checksum, 'choices' => $choices];

            return $this->queue->execute($zone, $user, $import, cause: Change::record('file-brought', $station, $user, [], $is));
        });
    }

    /** @param  array{name?: string|null, height_m?: int|null}  $new */
    private function addStation(Zone $zone, array $new): Station
    {
        $rank = (int) Station::query()->where('zone_id', $zone->id)->max('rank') + 1;

        return Station::query()->create([
            'zone_id' => $zone->id,
            'rank' => $rank,
            'name' => $new['name'] ?? ($rank === 1 ? "{$zone->name} station" : "{$zone->name} station {$rank}"),
            'height_m' => $new['height_m'] ?? null,
        ]);
    }
}
