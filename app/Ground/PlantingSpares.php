<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Calendar\SpareSeedlings;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Ground\SeedNeed;
use Anthesis\Record\Day;
use Anthesis\Record\Tolerance;
use App\Log\Bed;
use App\Log\Sowing;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Windows\SparesQuestion;
use App\Zones\Zone;

/**
 * The seedlings raised beside a sowing in a bed, in case it fails.
 *
 * @phpstan-type Raised array{years: int, failed: int, start: Day, ready: Day, until: Day|null}
 */
final readonly class PlantingSpares
{
    /** If they are started within this many days of their date, they are the planned ones. */
    private const MEANT_DAYS = 21;

    public function __construct(private PlaceOf $places)
    {
    }

    /** @return Raised|null null if it seldom fails, is not grown as a transplant, or nothing is on record */
    public function of(Zone $zone, Bed $bed, Crop $crop, Route $route, Day $on): ?array
    {
        $place = $route === Route::Direct ? $this->places->zone($zone) : null;
        if ($place === null) {
            return null;
        }
        $site = $bed->site?->toCore() ?? $place->site();
        $spares = Results::of($place, new SparesQuestion($site, $crop, $on->yearDay()))['spares'];

        return $spares === null ? null : ['years' => $spares['years'], 'failed' => $spares['failed']] + SpareSeedlings::about($on, $spares);
    }

    /** @return array<string, mixed>|null as the contract's PlantingSpares */
    public function told(Zone $zone, GrowingHere $here, Planting $planting): ?array
    {
        $route = Route::from($planting->route);
        $crop = $here->candidate($planting->crop->slug, $planting->variety, $route)?->crop;
        $raised = $crop === null ? null : $this->of($zone, $planting->bed, $crop, $route, Day::fromIso($planting->day->format('Y-m-d')));
        if ($raised === null) {
            return null;
        }
        $rows = ZoneGround::rows($crop, $planting->bed);

        return array_map(static fn (int|Day|null $told): int|string|null => $told instanceof Day ? $told->iso() : $told, $raised) + [
            'plants' => self::plants($crop, $planting->metres, $rows),
        ];
    }

    public static function plants(Crop $crop, float $metres, int $rows): int
    {
        return (int) ceil(SeedNeed::ofSpares($crop, $metres, $rows)->plants - Tolerance::SUMS);
    }

    /** @return list<array{string, Day}> crop and day of what was started indoors and is waiting there */
    public function waiting(Zone $zone, Day $today): array
    {
        return array_values(
            Sowing::underWay($zone, $today)
                ->where('under_cover', true)
                ->whereNull('set_out_on')
                ->with('crop')
                ->get()
                ->map(static fn (Sowing $s): array => [$s->crop->slug, Day::fromIso($s->begun_on->format('Y-m-d'))])
                ->all(),
        );
    }

    /** @param  list<array{string, Day}>  $waiting */
    public static function areStarted(array $waiting, string $crop, Day $start): bool
    {
        foreach ($waiting as [$of, $begun]) {
            if ($of === $crop && $begun->number >= $start->number - self::MEANT_DAYS) {
                return true;
            }
        }

        return false;
    }
}
