<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Crop\Caution;
use Anthesis\Log\LoggedAct;
use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Crops\CropNames;
use App\Languages\Translation;
use App\People\User;
use App\Season\Packet;
use App\Trials\TrialPlot;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** A zone's log read back: its entries, and what a phone needs to write more offline. */
final class ZoneLog
{
    public const PAGE = 60;

    /** Latest entries of a person that show what is likely next. */
    private const LATELY = 60;

    /** Earlier years, and days on either side, in which something was sown that is likely to be sown now. */
    private const YEARS = 3;

    private const ABOUT = 20;

    /** The most growing plantings that a phone carries. */
    private const MOST_SOWINGS = 300;

    /**
     * @param  array{crop?: string|null, garden?: string|null, bed?: string|null, act?: string|null, from?: string|null, to?: string|null, after?: string|null}  $asked
     * @return Builder<LogEntry> newest first; those that were corrected are left out, deleted ones are not
     */
    public function lines(Zone $zone, array $asked): Builder
    {
        $lines = LogEntry::query()->where('log_entries.zone_id', $zone->id)->whereNull('corrected_by');
        if (isset($asked['crop'])) {
            $lines->where('crop_id', Crop::query()->where('slug', $asked['crop'])->value('id') ?? 0);
        }
        if (isset($asked['garden'])) {
            $beds = Bed::query()->where('zone_id', $zone->id)->where('garden', $asked['garden']);
            $lines->whereIn('bed_id', (isset($asked['bed']) ? $beds->where('name', $asked['bed']) : $beds)->pluck('id'));
        }
        foreach (['act' => '=', 'from' => '>=', 'to' => '<='] as $name => $is) {
            if (isset($asked[$name])) {
                $lines->where($name === 'act' ? 'act' : 'day', $is, $asked[$name]);
            }
        }
        if (isset($asked['after']) && preg_match('/^(\d{4}-\d\d-\d\d)\.(\d{1,18})$/', $asked['after'], $found) === 1) {
            $lines->where(
                static fn (Builder $q) => $q
                    ->where('day', '<', $found[1])
                    ->orWhere(static fn (Builder $same) => $same->where('day', $found[1])->where('log_entries.id', '<', (int) $found[2])),
            );
        }

        return $lines
            ->with(['user', 'crop', 'bed.site', 'sowing', 'corrects.user', 'corrects.crop', 'corrects.bed.site', 'corrects.sowing'])
            ->orderByDesc('day')
            ->orderByDesc('log_entries.id');
    }

    /** @return list<string> slugs of what was sown in the last weeks, and at this time of earlier years */
    private function sownAbout(Zone $zone, Day $today): array
    {
        $sowings = Sowing::query()
            ->where('zone_id', $zone->id)
            ->where('taken_back', false)
            ->where(static function (Builder $about) use ($today): void {
                for ($ago = 0; $ago <= self::YEARS; $ago++) {
                    $day = $today->plus(-365 * $ago);
                    $about->orWhereBetween('begun_on', [$day->plus(-self::ABOUT)->iso(), $day->plus(self::ABOUT)->iso()]);
                }
            });

        return array_values(
            $sowings
                ->with('crop')
                ->selectRaw('crop_id, max(begun_on) as latest')
                ->groupBy('crop_id')
                ->orderByDesc('latest')
                ->get()
                ->map(static fn (Sowing $s): string => $s->crop->slug)
                ->all(),
        );
    }

    /** @return array<string, list<string>> by task, the codes of the cautions that belong where it is written */
    private static function cautions(): array
    {
        $due = [];
        foreach (LoggedAct::cases() as $act) {
            $own = array_filter(Caution::cases(), $act->concerns(...));
            if ($own !== []) {
                $due[$act->value] = array_column($own, 'value');
            }
        }

        return $due;
    }

    /** @return array<string, mixed> as the contract's LogBook */
    public function book(Zone $zone, Day $today, User $user): array
    {
        $sowings = Sowing::underWay($zone, $today)
            ->with(['crop', 'bed.site'])
            ->limit(self::MOST_SOWINGS)
            ->get();
        $lately = self::lately($zone, $user);
        $likely = [...$this->sownAbout($zone, $today), ...Packet::of($user)];
        $beds = self::bedsFor($zone, $lately);

        return [
            'today' => $today->iso(),
            'zone' => ['slug' => $zone->slug, 'name' => $zone->name],
            'user' => $user->name,
            'crops' => self::crops(),
            'cautions' => self::cautions(),
            'usual_days' => array_filter(
                array_combine(
                    array_column(LoggedAct::cases(), 'value'),
                    array_map(static fn (LoggedAct $a): ?int => $a->usualDay(), LoggedAct::cases()),
                ),
                is_int(...),
            ),
            'likely' => array_values(array_unique($likely)),
            'beds' => array_values($beds->map(static fn (Bed $b): array => $b->told())->all()),
            'sowings' => array_values($sowings->map(static fn (Sowing $s): array => $s->told())->all()),
            'due' => array_values(TrialPlot::due($zone, $today)->map(static fn (TrialPlot $p): array => $p->asked())->all()),
            'cues' => array_values(
                CuePlant::query()
                    ->orderBy('name')
                    ->orderBy('stage')
                    ->get()
                    ->map(static fn (CuePlant $c): array => ['id' => $c->id, 'plant' => $c->name, 'stage' => $c->stage])
                    ->all(),
            ),
        ];
    }

    /** @return Collection<int, LogEntry> what a person wrote last, newest first */
    private static function lately(Zone $zone, User $user): Collection
    {
        return LogEntry::query()
            ->where('zone_id', $zone->id)
            ->where('user_id', $user->id)
            ->whereNull('corrected_by')
            ->with(['crop', 'bed'])
            ->orderByDesc('id')
            ->limit(self::LATELY)
            ->get();
    }

    /**
     * @param  Collection<int, LogEntry>  $lately
     * @return Collection<int, Bed> those written about recently first
     */
    private static function bedsFor(Zone $zone, Collection $lately): Collection
    {
        $gardens = $lately
            ->whereNotNull('bed_id')
            ->map(static fn (LogEntry $e): string => "{$e->bed?->garden}\n{$e->bed?->name}")
            ->unique()
            ->values();

        return Bed::query()
            ->where('zone_id', $zone->id)
            ->with('site')
            ->orderBy('garden')
            ->orderBy('name')
            ->get()
            ->sortBy(static fn (Bed $b): int => ($at = $gardens->search("{$b->garden}\n{$b->name}")) === false ? PHP_INT_MAX : $at);
    }

    /** @return list<array<string, mixed>> as the contract's LogBook has them, in the order of the book */
    private static function crops(): array
    {
        $translations = Translation::byLanguage();

        return array_values(
            Crop::query()
                ->with('varieties')
                ->get()
                ->sortBy('position')
                ->map(
                    static fn (Crop $c): array => [
                        'slug' => $c->slug,
                        'name' => $c->cells['name'],
                        'names' => CropNames::of($c->slug, $c->cells, $translations),
                        'start' => $c->cells['start'],
                        'cautions' => array_values(array_filter(explode('|', (string) ($c->cells['cautions'] ?? '')))),
                        'varieties' => $c->varieties->pluck('name')->all(),
                    ],
                )
                ->all(),
        );
    }
}
