<?php

declare(strict_types=1);

namespace App\Console;

use Anthesis\Ground\Candidate;
use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Ground\Planting;
use App\Ground\ZoneGround;
use App\Log\Bed;
use App\Zones\Zone;
use Closure;
use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\DB;
use LogicException;

/** Times the answers of Beds with many beds and years, and leaves no trace. Needs the demonstration. */
class BenchGround extends Command
{
    use TimesAnswers;

    private const EACH_YEAR = 3;

    private const WISHED_BEDS = 12;

    private const WISHES = 30;

    protected $signature = 'anthesis:bench-ground {--beds=50} {--years=5} {--repeats=5}';

    protected $description = 'Time the beds, a change to them, and a season’s plan (see bin/bench)';

    public function handle(Kernel $kernel): int
    {
        return $this->inDemonstration(fn (Zone $zone) => $this->time($kernel, $zone));
    }

    private function time(Kernel $kernel, Zone $zone): void
    {
        $here = app(ZoneGround::class)->growing($zone) ?? throw new LogicException('A computed zone has a record.');
        $year = $zone->today()->year();
        $first = $year - intdiv((int) $this->option('years'), 2);
        $span = "from={$first}-01-01&to=".($first + (int) $this->option('years') - 1).'-12-31';
        $beds = $this->plant(
            $zone,
            array_values(array_filter($here->all(), static fn (Candidate $c): bool => in_array(true, $c->days->open, true))),
            $first,
        );
        $this->line(
            sprintf('%-44s %9d', 'plantings on '.count($beds).' beds', Planting::query()->where('zone_id', $zone->id)->count()),
        );
        // There is no browser here to get a token from.
        ValidateCsrfToken::except(['api/*']);
        $ask = fn (string $name, string $method, string $path, array|Closure $body = []) => $this->timed(
            $kernel,
            (int) $this->option('repeats'),
            $name,
            $method,
            "/api/zones/basin-floor/{$path}",
            $body,
        );
        $this->askAll($ask, $beds, $year, $span);
    }

    /**
     * @param  callable(string, string, string, array<string, mixed>|Closure=): void  $ask
     * @param  list<int>  $beds
     */
    private function askAll(callable $ask, array $beds, int $year, string $span): void
    {
        $moved = Planting::query()->where('idempotency_key', 'bench-ground-0-0')->firstOrFail();
        $ask('ground', 'GET', "ground?{$span}");
        $ask('a change with its effects', 'PUT', "plantings?{$span}", static fn (int $i): array => [
            'change' => [[
                'id' => $moved->id,
                'version' => $moved->refresh()->version,
                'bed' => $beds[1],
                'on' => Day::of($year, 5, 10)->plus($i)->iso(),
                'metres' => 3,
            ]],
        ]);
        $ask('what fits a gap', 'GET', "beds/{$beds[2]}/fits?from={$year}-04-01&to={$year}-10-31");
        $ask('tasks', 'GET', "ground-tasks?from={$year}-04-01&to={$year}-05-15");
        $ask('worth', 'GET', 'worth');
        $next = 'from='.($year + 1).'-01-01&to='.($year + 1).'-12-31';
        $crops = Crop::query()->whereNot('slug', 'like', 'cover-%')->limit(self::WISHES)->pluck('slug')->all();
        $ask(self::WISHES.' wishes on '.self::WISHED_BEDS.' beds', 'POST', "season-plans?{$next}", [
            'beds' => array_slice($beds, 0, self::WISHED_BEDS),
            'wishes' => array_map(static fn (string $crop): array => ['key' => "bench-{$crop}", 'crop' => $crop, 'metres' => 4], $crops),
        ]);
    }

    /**
     * @param  list<Candidate>  $candidates
     * @return list<int> the beds
     */
    private function plant(Zone $zone, array $candidates, int $first): array
    {
        $ids = Crop::query()->pluck('id', 'slug');
        $beds = $rows = [];
        for ($b = 0; $b < (int) $this->option('beds'); $b++) {
            $beds[] = Bed::query()->create([
                'zone_id' => $zone->id,
                'garden' => 'Bench',
                'name' => "Row {$b}",
                'length_m' => 20,
                'width_m' => 1.2,
            ])->id;
            for ($i = 0; $i < self::EACH_YEAR * (int) $this->option('years'); $i++) {
                $candidate = $candidates[($b * 31 + $i * 17) % count($candidates)];
                $open = array_keys(array_filter($candidate->days->open));
                $rows[] = [
                    'idempotency_key' => "bench-ground-{$b}-{$i}",
                    'zone_id' => $zone->id,
                    'bed_id' => $beds[$b],
                    'crop_id' => $ids[$candidate->crop->slug],
                    'variety' => $candidate->variety,
                    'route' => $candidate->route->value,
                    'day' => Day::of($first + intdiv($i, self::EACH_YEAR), 1, 1)
                        ->plus($open[($i * 7) % count($open)])
                        ->iso(),
                    'metres' => 5.0,
                    'pinned' => false,
                ];
            }
        }
        DB::table('plantings')->insert($rows);

        return $beds;
    }
}
