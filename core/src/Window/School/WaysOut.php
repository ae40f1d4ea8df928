<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\PacketDays;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Window\NoWindow;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\SowingWindow;
use Generator;

/** For a crop that has no window in open ground: a quicker variety, a better site, a cover. */
final class WaysOut
{
    /** From the least trouble to the most. */
    private const SITES = ['straw mulch', 'dark plastic mulch', 'raised bed', 'sun-facing wall', 'shade cloth', 'row cover', 'low tunnel', 'cold frame'];

    /** @var array<string, Replay> by site */
    private array $replays = [];

    /** @var array<string, list<array{int, float}>> by crop and route; packet days, and the share of their best week */
    private array $shorter = [];

    /** @var array<string, Generator<int, float>> by crop and route; what is still to come of */
    private array $trying = [];

    /** @var array<string, array<string, ReplayWindows>> by crop and route, and site */
    private array $elsewhere = [];

    public function of(NoWindow $noWindow, Replay $replay, Crop $crop, Route $route, float $share, YearDay $from): NoWindow
    {
        return $noWindow->unless($this->variety($replay, $crop, $route, $share), $this->site($replay, $crop, $route, $share, $from));
    }

    /** The most packet days, fewer than the crop's own, that have a week of the year. Shorter ones are only replayed when they are asked for. */
    private function variety(Replay $replay, Crop $crop, Route $route, float $share): ?int
    {
        $key = "{$crop->checksum()} {$route->value}";
        $enough = $share - ReplayWindows::ROUNDING;
        foreach ($this->shorter[$key] ?? [] as [$days, $best]) {
            if ($best >= $enough) {
                return $days;
            }
        }
        $trying = $this->trying[$key] ??= PacketDays::shorter($replay, $crop, $route);
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
    private function site(Replay $replay, Crop $crop, Route $route, float $share, YearDay $from): array
    {
        $key = "{$crop->checksum()} {$route->value}";
        foreach (self::SITES as $name) {
            $there = $this->replays[$name] ??= $replay->at(Site::named($name));
            $windows = $this->elsewhere[$key][$name] ??= new ReplayWindows($crop, $route, OutcomeRibbon::of($there->runs($crop, $route)), $from, $name);
            $open = $windows->windows($share);
            if ($open !== []) {
                return [$name => $open];
            }
        }

        return [];
    }
}
