<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\Route;
use Anthesis\Ground\Candidate;
use Anthesis\Ground\GroundDays;
use Anthesis\Record\Latitude;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\ReplayWindows;
use App\Crops\Crop;
use App\Crops\Variety;
use App\Crops\ZoneCrops;
use App\Results\Result;
use App\Results\Results;
use App\Results\ZoneRecordNote;
use App\Results\ZoneReplay;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use LogicException;

/** Every crop and variety of the book as it grows in a zone's open ground, day by day: when it may go in, and how long it stays. */
final class GrowingHere
{
    public const NO_RECORD = 'The zone has no record yet. Bring a station file first.';

    /** @var array<string, Candidate> those that were asked for */
    private array $known = [];

    /**
     * @param  array<string, array{CropParameters, string|null, Route}>  $ways  by crop, variety and route, in the order of the book
     * @param  array<string, string>  $days  JSON of the GroundDays of each: most are never looked at
     */
    private function __construct(private readonly array $ways, private readonly array $days)
    {
    }

    /** @return self|null null without a record */
    public static function in(Zone $zone): ?self
    {
        $note = ZoneRecordNote::of($zone);
        if ($note === null) {
            return null;
        }
        $grown = self::grown($zone);
        $site = Site::forZone($zone)[0];
        $share = ProofStandard::from($zone->standard)->share();
        $inputs = [$note['checksum'], $zone->latitude, $zone->light, $zone->standard, $site, array_map(static fn (array $g): array => [$g[0]->checksum(), $g[1]], $grown)];
        $hash = Results::remember(Result::GROUND, Result::hashOf(Result::GROUND, $inputs), static function () use ($zone, $site, $grown, $share): array {
            $replay = ZoneReplay::of($zone, ZoneRecord::of($zone) ?? throw new LogicException('A zone with a note of its record has one.'), $site);
            $start = Latitude::of($zone->latitude)->yearStart();
            $days = [];
            foreach ($grown as [$crop, $variety]) {
                foreach ($crop->routes as $route) {
                    $runs = $replay->runs($crop, $route);
                    $windows = new ReplayWindows($crop, $route, OutcomeRibbon::of($runs), $start, $site->name);
                    $days[self::key($crop->slug, $variety, $route)] = json_encode(array_values(get_object_vars(GroundDays::of($runs, $windows->windows($share)))), JSON_THROW_ON_ERROR);
                }
            }

            return ['days' => $days];
        });
        $ways = [];
        foreach ($grown as [$crop, $variety]) {
            foreach ($crop->routes as $route) {
                $ways[self::key($crop->slug, $variety, $route)] = [$crop, $variety, $route];
            }
        }

        return new self($ways, Result::query()->findOrFail($hash)->content()['days']);
    }

    /** A crop as it stands in a bed: of the variety the book has by that name, else as the crop itself. */
    public function candidate(string $crop, ?string $variety, Route $route): ?Candidate
    {
        return $this->known(self::key($crop, $variety, $route)) ?? $this->known(self::key($crop, null, $route));
    }

    /** @return list<Candidate> all the ways a crop, or one of its varieties, may be grown */
    public function waysOf(string $crop, ?string $variety): array
    {
        return array_values(array_filter(array_map(fn (Route $route): ?Candidate => $this->known(self::key($crop, $variety, $route)), Route::cases())));
    }

    /** @return list<Candidate> in the order of the book */
    public function all(): array
    {
        return array_values(array_filter(array_map($this->known(...), array_keys($this->ways))));
    }

    private function known(string $key): ?Candidate
    {
        $way = $this->ways[$key] ?? null;

        return $way === null ? null : $this->known[$key] ??= new Candidate($way[0], $way[1], $way[2], new GroundDays(...json_decode($this->days[$key], true, 8, JSON_THROW_ON_ERROR)));
    }

    /** @return list<array{CropParameters, string|null}> */
    private static function grown(Zone $zone): array
    {
        $book = ZoneCrops::of($zone);
        $grown = [];
        foreach (Crop::query()->with('varieties')->get()->sortBy('position') as $crop) {
            $grown[] = [$book->crop($crop), null];
            array_push($grown, ...$crop->varieties->map(static fn (Variety $v): array => [$book->variety($v, $crop), $v->name])->all());
        }

        return $grown;
    }

    private static function key(string $crop, ?string $variety, Route $route): string
    {
        return "{$crop}\n{$variety}\n{$route->value}";
    }
}
