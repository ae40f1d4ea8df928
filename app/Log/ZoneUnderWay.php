<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Record\Day;
use Anthesis\Season\ThisSeason;
use Anthesis\Season\UnderWay;
use App\Crops\ZoneCrops;
use App\Operations\Today;
use App\Results\Result;
use App\Results\Results;
use App\Season\ZoneToday;
use App\Sites\Site as ZoneSite;
use App\Zones\Zone;

/** What the log says is in the ground, or under cover for it, and how this season goes on for each. */
final readonly class ZoneUnderWay
{
    /** Sowings that are told of: the latest. */
    private const MOST = 200;

    public function __construct(private ZoneToday $today)
    {
    }

    /** @return list<array<string, mixed>> as the contract's UnderWay, what is picked next first */
    public function of(Zone $zone): array
    {
        $sowings = Sowing::underWay($zone, Today::day())->with(['crop.varieties', 'bed.site'])->limit(self::MOST)->get()->all();
        $hashes = $sowings === [] ? [] : $this->results($zone, $sowings);
        $contents = Result::query()->whereIn('hash', array_unique($hashes))->get()->keyBy('hash');
        $told = array_map(static fn (Sowing $s): array => $s->told() + ['goes_on' => isset($hashes[$s->id]) ? $contents[$hashes[$s->id]]->content() : null], $sowings);
        usort($told, static fn (array $a, array $b): int => [$a['goes_on']['first_pick'][1] ?? '9', $a['name'], $a['key']] <=> [$b['goes_on']['first_pick'][1] ?? '9', $b['name'], $b['key']]);

        return $told;
    }

    /**
     * @param  list<Sowing>  $sowings
     * @return array<int, string> fingerprint by sowing; sowings alike share one
     */
    private function results(Zone $zone, array $sowings): array
    {
        $weather = $this->today->season($zone, Today::day());
        if ($weather === null) {
            return [];
        }
        $book = ZoneCrops::of($zone);
        $ground = ZoneSite::forZone($zone)[0];
        $asked = $hashes = [];
        foreach ($sowings as $sowing) {
            $site = $sowing->bed?->site?->toCore() ?? $ground;
            $crop = $book->named($sowing->crop, $sowing->variety);
            $facts = self::facts($sowing);
            $hash = Result::hashOf(Result::UNDER_WAY, [$weather['inputs'], $site, $crop->checksum(), $sowing->route()->value, array_map(static fn ($f) => $f instanceof Day ? $f->iso() : $f, $facts)]);
            $asked[$hash] ??= [$site, $crop, $sowing->route(), $facts];
            $hashes[$sowing->id] = $hash;
        }
        $known = Result::query()->whereIn('hash', array_keys($asked))->pluck('hash')->all();
        $seasons = $new = [];
        foreach (array_diff_key($asked, array_flip($known)) as $hash => [$site, $crop, $route, $facts]) {
            $season = $seasons[json_encode($site)] ??= ($weather['season'])($site);
            $new[] = [$hash, Result::UNDER_WAY, self::told(UnderWay::of($season, $crop, $route, ...$facts), $season)];
        }
        Results::keep($new);

        return $hashes;
    }

    /** @return array{on: Day, underCover: bool, up: Day|null, thinned: bool, picked: bool} */
    private static function facts(Sowing $sowing): array
    {
        $in = $sowing->inGroundOn();

        return ['on' => $in ?? Day::fromIso($sowing->begun_on->format('Y-m-d')), 'underCover' => $in === null, 'up' => Sowing::dayOf($sowing->up_on), 'thinned' => $sowing->thinned_on !== null,
            'picked' => $sowing->first_picked_on !== null];
    }

    /** @return array<string, mixed> */
    private static function told(UnderWay $way, ThisSeason $season): array
    {
        $dates = static fn (?array $days): ?array => $days === null ? null : array_map(static fn (Day $d): string => $d->iso(), $days);

        return ['up' => $dates($way->up), 'set_out' => $way->setOut?->iso(), 'thin' => $way->thin?->iso(), 'first_pick' => $dates($way->firstPick),
            'harvests' => $way->harvests, 'cold' => $way->cold, 'of' => $way->of, 'loss' => $way->loss?->value, 'members' => count($season->members)];
    }
}
