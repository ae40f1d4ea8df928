<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Window\GroundWait;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SoilHold;

/** Windows from how every planting on record turned out. */
final class FromReplay implements School
{
    public const KEY = 'replay';

    /** @var array<string, Runs> by way of growing, for the crop used last: its seasons are the same at each confidence level */
    private array $runs = [];

    /** @var array<string, ReplayWindows> by way of growing, for the same crop */
    private array $known = [];

    private string $crop = '';

    /**
     * @param  YearDay  $from  where the year starts: windows are listed from that day on
     * @param  Remedies|null  $remedies  what else to try for a crop without a window; null: nothing
     * @param  bool  $holds  whether windows wait for the crop's own minimum soil temperature
     * @param  GroundWait|null  $ground  from when on ground can be worked, if they wait for that
     */
    public function __construct(
        private readonly Replay $replay,
        private readonly YearDay $from,
        private readonly string $site,
        private readonly ?Remedies $remedies = null,
        private readonly bool $holds = true,
        private readonly ?GroundWait $ground = null,
    ) {
    }

    /** What the years of a place say, at the site in use. */
    public static function ofPlace(Place $place): self
    {
        return $place->once(
            self::class,
            static fn (): self => new self(
                Replay::ofPlace($place),
                $place->yearStart(),
                $place->site()->name,
                holds: $place->waitsForSoil,
                ground: GroundWait::ofPlace($place),
            ),
        );
    }

    public static function on(Grounds $grounds): self
    {
        return new self(
            $grounds->replay,
            $grounds->place->latitude->yearStart(),
            $grounds->place->site->name,
            $grounds->remedies,
            $grounds->waitsForSoil,
            $grounds->ground,
        );
    }

    public function asksProof(): bool
    {
        return true;
    }

    public function windows(Crop $crop, ProofStandard $standard): array
    {
        return $this->at($crop, $standard->share());
    }

    /**
     * @param  bool  $raw  whether to return what the replay alone says, neither waiting for soil nor joined for print
     * @return list<RouteWindows> at any share of the years
     */
    public function at(Crop $crop, float $share, bool $raw = false): array
    {
        return array_map(function (Route $route) use ($crop, $share, $raw): RouteWindows {
            $windows = $this->of($crop, $route)->at($share, $raw);

            return $windows->noWindow === null || $this->remedies === null
                ? $windows
                : $windows->without(
                    $this->remedies->of($windows->noWindow, $this->replay, $crop, $route, $share, $this->from, $this->holds, $this->ground),
                );
        }, $crop->routes);
    }

    /** A crop's seasons by one way of growing, gathered, and the windows they make. */
    public function of(Crop $crop, Route $route): ReplayWindows
    {
        $runs = $this->runs($crop, $route);

        return $this->known[$route->value] ??= new ReplayWindows(
            $crop,
            $route,
            OutcomeRibbon::of($runs),
            $this->from,
            $this->site,
            $this->holds ? SoilHold::of($this->replay->normalSoil(), $crop, $route) : null,
            $this->ground,
        );
    }

    /** @return SoilHold|null the days on which a crop waits for its ground at a share of the years; null: none, or nothing waits here */
    public function hold(Crop $crop, Route $route, float $share): ?SoilHold
    {
        return $this->of($crop, $route)->hold($share);
    }

    public function runs(Crop $crop, Route $route): Runs
    {
        $checksum = $crop->checksum();
        if ($checksum !== $this->crop) {
            [$this->runs, $this->known, $this->crop] = [[], [], $checksum];
        }

        return $this->runs[$route->value] ??= $this->replay->runs($crop, $route);
    }
}
