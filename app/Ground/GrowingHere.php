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
use App\Results\ZoneReplay;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/** Every crop and variety of the book as it grows in a zone's open ground, day by day: when it may go in, and how long it stays. */
final readonly class GrowingHere
{
    public const NO_RECORD = 'The zone has no record yet. Bring a station file first.';

    /**
     * @param  array<string, Candidate>  $candidates  by crop, variety and route, in the order of the book
     */
    private function __construct(public array $candidates)
    {
    }

    /** @return self|null null without a record */
    public static function in(Zone $zone): ?self
    {
        $record = ZoneRecord::of($zone);
        if ($record === null) {
            return null;
        }
        $grown = self::grown($zone);
        $site = Site::forZone($zone)[0];
        $share = ProofStandard::from($zone->standard)->share();
        $inputs = [$record->used->checksum(), $zone->latitude, $zone->light, $zone->standard, $site, array_map(static fn (array $g): array => [$g[0]->checksum(), $g[1]], $grown)];
        $hash = Results::remember(Result::GROUND, Result::hashOf(Result::GROUND, $inputs), static function () use ($zone, $record, $site, $grown, $share): array {
            $replay = ZoneReplay::of($zone, $record, $site);
            $start = Latitude::of($zone->latitude)->yearStart();
            $days = [];
            foreach ($grown as [$crop, $variety]) {
                foreach ($crop->routes as $route) {
                    $runs = $replay->runs($crop, $route);
                    $windows = new ReplayWindows($crop, $route, OutcomeRibbon::of($runs), $start, $site->name);
                    $days[self::key($crop->slug, $variety, $route)] = array_values(get_object_vars(GroundDays::of($runs, $windows->windows($share))));
                }
            }

            return ['days' => $days];
        });
        $content = Result::query()->findOrFail($hash)->content()['days'];
        $candidates = [];
        foreach ($grown as [$crop, $variety]) {
            foreach ($crop->routes as $route) {
                $key = self::key($crop->slug, $variety, $route);
                $candidates[$key] = new Candidate($crop, $variety, $route, new GroundDays(...$content[$key]));
            }
        }

        return new self($candidates);
    }

    /** A crop as it stands in a bed: of the variety the book has by that name, else as the crop itself. */
    public function candidate(string $crop, ?string $variety, Route $route): ?Candidate
    {
        return $this->candidates[self::key($crop, $variety, $route)] ?? $this->candidates[self::key($crop, null, $route)] ?? null;
    }

    /** @return list<Candidate> all the ways a crop, or one of its varieties, may be grown */
    public function waysOf(string $crop, ?string $variety): array
    {
        return array_values(array_filter($this->candidates, static fn (Candidate $c): bool => $c->crop->slug === $crop && $c->variety === $variety));
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
