<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\PacketDays;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Window\GroundWait;
use Anthesis\Window\NoWindow;
use Anthesis\Window\Reason;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\SoilHold;
use Anthesis\Window\SowingWindow;
use Generator;

/** For a crop that has no window in open ground: a quicker variety, a better site, a cover. */
final class Remedies
{
    /** From the least trouble to the most. */
    private const SITES = [
        'straw mulch',
        'dark plastic mulch',
        'raised bed',
        'sun-facing wall',
        'shade cloth',
        'row cover',
        'low tunnel',
        'cold frame',
    ];

    /** Days of all replays kept at one time, about 100 bytes each. Thirty years at all eight sites fit. */
    private const KEPT_DAYS = 100_000;

    /** @var array<string, Replay> by site, least recently used first */
    private array $replays = [];

    /** The crop used last, by its checksum: it comes up at each confidence level, with the same answer. */
    private string $crop = '';

    /** @var array<string, list<array{int, float}>> by way of growing: packet days, and the share in their best week */
    private array $shorter = [];

    /** @var array<string, Generator<int, float>> by way of growing: what is still to be tried */
    private array $trying = [];

    /** @var array<string, array<string, list<float>>> by way of growing and site: the share of years by sow day */
    private array $elsewhere = [];

    /**
     * @param  bool  $holds  whether windows wait for the crop's own minimum soil temperature
     * @param  GroundWait|null  $ground  from when on ground can be worked, if they wait for that
     */
    public function of(
        NoWindow $noWindow,
        Replay $replay,
        Crop $crop,
        Route $route,
        float $share,
        YearDay $from,
        bool $holds = true,
        ?GroundWait $ground = null,
    ): NoWindow {
        $checksum = $crop->checksum();
        if ($checksum !== $this->crop) {
            [$this->crop, $this->shorter, $this->trying, $this->elsewhere] = [$checksum, [], [], []];
        }

        return $noWindow->unless(
            // A quicker variety warms no soil.
            $noWindow->reason instanceof Reason ? null : $this->variety($replay, $crop, $route, $share, $holds, $ground),
            $this->site($replay, $crop, $route, $share, $from, $holds, $ground),
        );
    }

    /** The most packet days, fewer than the crop's own, that have a week of the year. Shorter ones are only replayed when needed. */
    private function variety(Replay $replay, Crop $crop, Route $route, float $share, bool $holds, ?GroundWait $ground): ?int
    {
        $cold = $holds ? SoilHold::of($replay->normalSoil(), $crop, $route) : null;
        $key = $route->value;
        $enough = $share - Tolerance::SUMS;
        foreach ($this->shorter[$key] ?? [] as [$days, $best]) {
            if ($best >= $enough) {
                return $days;
            }
        }
        $trying = $this->trying[$key] ??= PacketDays::shorter(
            $replay,
            $crop,
            $route,
            SoilHold::orWet($cold, $ground?->days($share))->days ?? [],
        );
        while ($trying->valid()) {
            [$days, $best] = $this->shorter[$key][] = [$trying->key(), $trying->current()];
            $trying->next();
            if ($best >= $enough) {
                return $days;
            }
        }

        return null;
    }

    /** @return array<string, non-empty-list<SowingWindow>> the first site or cover that opens it, and its windows there */
    private function site(
        Replay $replay,
        Crop $crop,
        Route $route,
        float $share,
        YearDay $from,
        bool $holds,
        ?GroundWait $ground,
    ): array {
        foreach (self::SITES as $name) {
            $reliability = $this->elsewhere[$route->value][$name] ??= OutcomeRibbon::reliabilityOf(
                $this->at($replay, $name)->runs($crop, $route),
            );
            $cold = $holds ? SoilHold::of($this->at($replay, $name)->normalSoil(), $crop, $route) : null;
            $wet = $ground === null || GroundWait::isKeptDry(Site::named($name)) ? null : $ground->days($share);
            $open = ReplayWindows::reaching($reliability, $share, $from, SoilHold::orWet($cold, $wet));
            if ($open !== []) {
                return [$name => $open];
            }
        }

        return [];
    }

    private function at(Replay $replay, string $site): Replay
    {
        $there = $this->replays[$site] ?? $replay->at(Site::named($site));
        unset($this->replays[$site]);
        if (count($this->replays) >= max(1, intdiv(self::KEPT_DAYS, $replay->days()))) {
            unset($this->replays[array_key_first($this->replays)]);
        }

        return $this->replays[$site] = $there;
    }
}
