<?php

declare(strict_types=1);

namespace App\Console;

use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Log\Bed;
use App\Log\LogEntry;
use App\Log\Sowing;
use App\People\User;
use App\Trials\Trial;
use App\Trials\TrialPlot;
use App\Zones\Zone;
use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Support\Facades\DB;

/** Times the answers of the log, Today, and trials with a log of many years, and leaves no trace. Needs the demonstration. */
class BenchLog extends Command
{
    use TimesAnswers;

    /** Entries per planting. */
    private const EACH = 8;

    private const YEARS = 30;

    private const TRIALS = 30;

    private const PLOTS = 18;

    private const CHUNK = 1000;

    protected $signature = 'anthesis:bench-log {--lines=100000} {--repeats=5}';

    protected $description = 'Time the log, Today, and trials with many entries (see bin/bench)';

    public function handle(Kernel $kernel): int
    {
        return $this->inDemonstration(fn (Zone $zone, User $user) => $this->time($kernel, $zone, $user));
    }

    private function time(Kernel $kernel, Zone $zone, User $user): void
    {
        $this->sow($zone, $user, intdiv((int) $this->option('lines'), self::EACH));
        $this->trials($zone);
        $this->line(sprintf('%-44s %9d', 'lines of the log', LogEntry::query()->where('zone_id', $zone->id)->count()));
        foreach (['log', 'log?crop=radish', 'log-book', 'under-way', 'today', 'trials', 'local-days', 'cues'] as $what) {
            $this->timed($kernel, (int) $this->option('repeats'), $what, 'GET', "/api/zones/basin-floor/{$what}");
        }
    }

    private function sow(Zone $zone, User $user, int $sowings): void
    {
        $crops = Crop::query()->pluck('id')->all();
        $beds = array_map(
            static fn (int $i): int => Bed::query()->createOrFirst(['zone_id' => $zone->id, 'garden' => 'Bench', 'name' => "Bed {$i}"])->id,
            range(1, 50),
        );
        $last = $zone->today();
        $id = (int) Sowing::query()->max('id');
        $rows = $lines = [];
        for ($i = 0; $i < $sowings; $i++) {
            $on = $last->plus(-intdiv(365 * self::YEARS * $i, $sowings));
            $open = $i % 5 === 0 && $last->number - $on->number < 300;
            [$crop, $bed] = [$crops[$i % count($crops)], $beds[$i % count($beds)]];
            $at = static fn (int $days): ?string => $on->number + $days > $last->number ? null : $on->plus($days)->iso();
            $rows[] = [
                'id' => ++$id,
                'idempotency_key' => "bench-{$i}",
                'zone_id' => $zone->id,
                'crop_id' => $crop,
                'bed_id' => $bed,
                'sown_on' => $on->iso(),
                'up_on' => $at(10),
                'first_picked_on' => $open ? null : $at(60),
                'ended_on' => $open ? null : $at(90) ?? $last->iso(),
                'begun_on' => $on->iso(),
                'metres' => 4.0,
                'kilograms' => 6.0,
            ];
            $of = ['zone_id' => $zone->id, 'user_id' => $user->id, 'sowing_id' => $id, 'crop_id' => $crop, 'bed_id' => $bed];
            array_push($lines, ...self::lines("bench-{$i}", $of, $on, $last));
            if (count($rows) === self::CHUNK || $i === $sowings - 1) {
                DB::table('sowings')->insert($rows);
                foreach (array_chunk($lines, self::CHUNK) as $some) {
                    DB::table('log_entries')->insert($some);
                }
                $rows = $lines = [];
            }
        }
    }

    /**
     * @param  array<string, int>  $of  the sowing, and what it belongs to
     * @return list<array<string, mixed>> the entries of a sowing, ten days apart, none after the last day
     */
    private static function lines(string $key, array $of, Day $on, Day $last): array
    {
        $lines = [];
        foreach (['sown', 'up', 'thinned', 'first-picked', 'picked', 'picked', 'picked', 'last-picked'] as $n => $act) {
            $lines[] = $of + [
                'idempotency_key' => "{$key}-{$n}",
                'act' => $act,
                'day' => $on->plus(min($n * 10, $last->number - $on->number))->iso(),
                'told' => '{"kilograms":1.5}',
                'source' => 'file',
                'written_at' => '2026-01-01 00:00:00',
                'created_at' => '2026-01-01 00:00:00',
                'updated_at' => '2026-01-01 00:00:00',
            ];
        }

        return $lines;
    }

    private function trials(Zone $zone): void
    {
        $sowings = Sowing::query()
            ->where('idempotency_key', 'like', 'bench-%')
            ->limit(self::TRIALS * self::PLOTS)
            ->pluck('id')
            ->all();
        for ($i = 0; $i < self::TRIALS; $i++) {
            $trial = Trial::query()->create([
                'idempotency_key' => "bench-{$i}",
                'zone_id' => $zone->id,
                'crop_id' => Crop::query()->value('id'),
                'route' => 'direct',
                'measured_in' => 'kilograms',
                'question' => 'Bench',
            ]);
            for ($n = 0; $n < self::PLOTS; $n++) {
                $plot = TrialPlot::query()->create([
                    'trial_id' => $trial->id,
                    'wave' => 'wave '.intdiv($n, 6),
                    'variety' => null,
                    'repeat' => ($n % 6) + 1,
                    'planned_on' => Day::of(2020, 4, 1)->iso(),
                ]);
                Sowing::query()
                    ->whereKey($sowings[$i * self::PLOTS + $n] ?? 0)
                    ->update(['trial_plot_id' => $plot->id]);
            }
        }
    }
}
