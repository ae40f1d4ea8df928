<?php

declare(strict_types=1);

namespace App\Console;

use Anthesis\Record\Day;
use App\Crops\Crop;
use App\People\Role;
use App\People\User;
use App\Results\ComputeZone;
use App\Results\ComputeZoneJob;
use App\Simulation\SimulatedClimate;
use App\Simulation\SimulatedStation;
use App\Stations\ImportRecord;
use App\Stations\KeepStationFile;
use App\Zones\ComputationState;
use App\Zones\QueueComputation;
use App\Zones\SaveZone;
use App\Zones\Zone;
use Illuminate\Console\Command;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/** Times what the queued job does with a file of thirty years, database and all, and leaves no trace. */
class BenchJob extends Command
{
    protected $signature = 'anthesis:bench {--repeats=5}';

    protected $description = 'Time the import and computing of a zone (see bin/bench)';

    public function __construct(private readonly QueueComputation $queue)
    {
        parent::__construct();
    }

    public function handle(KeepStationFile $keep, SaveZone $save, ImportRecord $import, ComputeZone $compute): int
    {
        $climate = new SimulatedClimate(9.2, 11.9, 200, [12.6, 2.4], [4.2, 0.8], 0.72, 0.0, 1);
        $path = (string) tempnam(sys_get_temp_dir(), 'bench');
        file_put_contents($path, (new SimulatedStation($climate))->file(Day::of(1996, 1, 1), Day::of(2025, 12, 31)));
        Queue::fake();
        $seconds = [];
        for ($i = 0; $i < (int) $this->option('repeats'); $i++) {
            DB::beginTransaction();
            $user = User::query()->create([
                'name' => 'Bench',
                'email' => "bench{$i}@kestrel.example",
                'password' => 'bench',
            ]);
            $user->memberships()->create(['role' => Role::Educator]);
            // A latitude of its own each time, so that no result is known already.
            $zone = $save->create([
                'name' => "Bench {$i}",
                'district' => 'Bench',
                'latitude' => 46.001 + $i / 1000,
                'longitude' => 0.0,
                'height_m' => 0,
                'settlements' => [],
            ]);
            $computation = $keep->execute($zone, null, new UploadedFile($path, 'bench.csv', 'text/csv', null, true), [], $user);
            $start = hrtime(true);
            (new ComputeZoneJob($zone->id))->handle($import, $compute);
            $seconds[] = (hrtime(true) - $start) / 1e9;
            if ($computation->refresh()->state !== ComputationState::Done) {
                $this->error((string) $computation->error);

                return self::FAILURE;
            }
            DB::rollBack();
        }
        $this->editOneCrop($path, $keep, $save, $import, $compute);
        Storage::disk('originals')->delete((string) hash_file('sha256', $path));
        unlink($path);
        sort($seconds);
        $this->line(
            sprintf(
                '%-44s %9.3f  (%.3f to %.3f)',
                'import 30 years and compute all crops, s',
                $seconds[intdiv(count($seconds), 2)],
                $seconds[0],
                end($seconds),
            ),
        );

        return self::SUCCESS;
    }

    /** A zone that is known already, after one crop was changed. */
    private function editOneCrop(
        string $path,
        KeepStationFile $keep,
        SaveZone $save,
        ImportRecord $import,
        ComputeZone $compute,
    ): void {
        DB::beginTransaction();
        $user = User::query()->create([
            'name' => 'Bench',
            'email' => 'bench-edit@kestrel.example',
            'password' => 'bench',
        ]);
        $user->memberships()->create(['role' => Role::Educator]);
        $zone = $save->create([
            'name' => 'Bench',
            'district' => 'Bench',
            'latitude' => 46.2,
            'longitude' => 0.0,
            'height_m' => 0,
            'settlements' => [],
        ]);
        $keep->execute($zone, null, new UploadedFile($path, 'bench.csv', 'text/csv', null, true), [], $user);
        (new ComputeZoneJob($zone->id))->handle($import, $compute);
        $crop = Crop::query()->where('slug', 'radish')->firstOrFail();
        $seconds = [];
        for ($i = 0; $i < (int) $this->option('repeats'); $i++) {
            $crop->update(['cells' => ['maturity_days' => (string) (30 + $i)] + $crop->cells]);
            $this->queue->changed($zone, $user, null);
            $start = hrtime(true);
            (new ComputeZoneJob($zone->id))->handle($import, $compute);
            $seconds[] = (hrtime(true) - $start) / 1e9;
        }
        DB::rollBack();
        sort($seconds);
        $this->line(
            sprintf(
                '%-44s %9.3f  (%.3f to %.3f)',
                'compute a zone after one crop was changed, s',
                $seconds[intdiv(count($seconds), 2)],
                $seconds[0],
                end($seconds),
            ),
        );
    }
}
