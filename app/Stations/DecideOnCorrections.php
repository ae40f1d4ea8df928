<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Tables\CsvText;
use App\People\User;
use App\Zones\Computation;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/** Uses values that a device reported differently, as a file of corrections like any other, or leaves the record as it is. */
final class DecideOnCorrections
{
    public function __construct(private readonly KeepStationFile $keep)
    {
    }

    /**
     * @param  list<int>  $ids
     * @return Computation|null the zone's, if something is used; null if nothing is, or others have decided already
     */
    public function execute(Zone $zone, array $ids, bool $use, User $user): ?Computation
    {
        return DB::transaction(function () use ($zone, $ids, $use, $user): ?Computation {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $open = ReportedCorrection::query()
                ->whereIn('id', $ids)
                ->whereNull('decided_at')
                ->whereRelation('station', 'zone_id', $zone->id)
                ->with('station.record')
                ->orderBy('day')
                ->get();
            ReportedCorrection::query()
                ->whereKey($open->modelKeys())
                ->update(['used' => $use, 'decided_by' => $user->id, 'decided_at' => now()]);
            $computation = null;
            foreach ($use ? $open->groupBy('station_id') : [] as $ofStation) {
                $computation = $this->import($zone, $ofStation, $user);
            }

            return $computation;
        });
    }

    /** @param  Collection<int, ReportedCorrection>  $corrections  of one station */
    private function import(Zone $zone, Collection $corrections, User $user): Computation
    {
        $days = [];
        foreach ($corrections as $one) {
            $days[$one->day->format('Y-m-d')][$one->element] = $one->value;
        }
        $rows = [['date', ...array_values(StationColumns::NAMES)]];
        foreach ($days as $day => $values) {
            $rows[] = [$day, ...array_map(static fn (string $of): ?float => $values[$of] ?? null, array_keys(StationColumns::NAMES))];
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'corrections');
        file_put_contents($path, CsvText::of($rows, "\n"));
        try {
            return $this->keep->execute(
                $zone,
                $corrections[0]->station,
                new UploadedFile($path, "corrections of {$corrections[0]->device}.csv", 'text/csv', null, true),
                ['unit' => 'celsius'],
                $user,
            );
        } finally {
            unlink($path);
        }
    }
}
