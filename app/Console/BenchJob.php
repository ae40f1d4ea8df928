<?php

declare(strict_types=1);

namespace App\Console;

use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Crops\FoundOffice;
use App\Operations\OfficeInUse;
use App\People\Role;
use App\People\User;
use App\Results\ComputeZone;
use App\Results\ComputeZoneJob;
use App\Simulation\SimulatedClimate;
use App\Simulation\SimulatedStation;
use App\Stations\ImportRecord;
use App\Stations\KeepStationFile;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\QueueComputation;
use App\Zones\SaveZone;
use App\Zones\Zone;
use Illuminate\Console\Command;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use RuntimeException;

/** Times the queued job on a file of thirty years, database included, and leaves no trace. */
class BenchJob extends Command
{
    protected $signature = 'anthesis:bench {--repeats=5} {--crops= : Only the first ones of the book}';

    protected $description = 'Time the import and computation of a zone (see bin/bench)';

    public function __construct(
        private readonly KeepStationFile $keep,
        private readonly SaveZone $save,
        private readonly ImportRecord $import,
        private readonly ComputeZone $compute,
        private readonly QueueComputation $queue,
    ) {
        parent::__construct();
    }

    /** Works in an office of its own, in a transaction that is rolled back, so it can run beside real ones. */
    public function handle(FoundOffice $found): int
    {
        $climate = new SimulatedClimate(9.2, 11.9, 200, [12.6, 2.4], [4.2, 0.8], 0.72, 0.0, 1);
        $path = (string) tempnam(sys_get_temp_dir(), 'bench');
        file_put_contents($path, (new SimulatedStation($climate))->file(Day::of(1996, 1, 1), Day::of(2025, 12, 31)));
        Queue::fake();
        DB::beginTransaction();
        try {
            OfficeInUse::within($found->execute('Bench')->id, function () use ($path): void {
                $user = User::query()->create(['name' => 'Bench', 'email' => 'bench@kestrel.example', 'password' => 'bench']);
                $user->memberships()->create(['role' => Role::Educator]);
                $this->cutBook();
                $this->importAndCompute($path, $user);
                $this->editOneCrop($path, $user);
            });
        } catch (RuntimeException $fault) {
            $this->error($fault->getMessage());

            return self::FAILURE;
        } finally {
            DB::rollBack();
            Storage::disk('originals')->delete((string) hash_file('sha256', $path));
            unlink($path);
        }

        return self::SUCCESS;
    }

    private function cutBook(): void
    {
        $first = Crop::query()->orderBy('position')->orderBy('id')->limit((int) ($this->option('crops') ?? PHP_INT_MAX))->pluck('id');
        Crop::query()->whereKeyNot($first->all())->delete();
        $this->line("{$first->count()} crops");
    }

    private function importAndCompute(string $path, User $user): void
    {
        $seconds = [];
        for ($i = 0; $i < (int) $this->option('repeats'); $i++) {
            // Each time at another latitude, so that no result is known already.
            [$zone, $computation] = $this->zone($path, $user, 46.001 + $i / 1000);
            $seconds[] = $this->computed($zone, $computation);
        }
        $this->report('import 30 years and compute all crops, s', $seconds);
    }

    /** Times a zone whose results are known, after one crop was changed. */
    private function editOneCrop(string $path, User $user): void
    {
        [$zone, $computation] = $this->zone($path, $user, 46.2);
        $this->computed($zone, $computation);
        $crop = Crop::query()->where('slug', 'radish')->firstOrFail();
        $seconds = [];
        for ($i = 0; $i < (int) $this->option('repeats'); $i++) {
            $crop->update(['cells' => ['maturity_days' => (string) (30 + $i)] + $crop->cells]);
            $seconds[] = $this->computed($zone, $this->queue->changed($zone, $user, null));
        }
        $this->report('compute a zone after one crop was changed, s', $seconds);
    }

    /** @return array{Zone, Computation} a zone with a station file that waits to be imported and computed */
    private function zone(string $path, User $user, float $latitude): array
    {
        $zone = $this->save->create([
            'name' => "Bench {$latitude}",
            'district' => 'Bench',
            'latitude' => $latitude,
            'longitude' => 0.0,
            'height_m' => 0,
            'settlements' => [],
        ]);

        return [$zone, $this->keep->execute($zone, null, new UploadedFile($path, 'bench.csv', 'text/csv', null, true), [], $user)];
    }

    /**
     * @return float seconds
     *
     * @throws RuntimeException with the reason, where it was not computed
     */
    private function computed(Zone $zone, Computation $computation): float
    {
        $start = hrtime(true);
        (new ComputeZoneJob($zone->id))->handle($this->import, $this->compute);
        $seconds = (hrtime(true) - $start) / 1e9;
        if ($computation->refresh()->state !== ComputationState::Done) {
            throw new RuntimeException((string) $computation->error);
        }

        return $seconds;
    }

    /** @param  list<float>  $seconds */
    private function report(string $what, array $seconds): void
    {
        sort($seconds);
        $this->line(sprintf('%-44s %9.3f  (%.3f to %.3f)', $what, $seconds[intdiv(count($seconds), 2)], $seconds[0], end($seconds)));
    }
}
