<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Window\Derivation;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SowingWindow;
use Anthesis\Words\Phrase;

/** Dates an educator set by hand for a crop, and why. Ways of growing that they do not mention are left to another method. */
final readonly class OwnDates implements School
{
    public const KEY = 'own';

    /**
     * @param  array<string, list<SowingWindow>>  $dates  by value of Route
     * @param  array<string, list<array{int, int}|null>>  $harvested  by value of Route, as ReplayWindows::harvested(): the harvest the
     *   record gives for them
     */
    public function __construct(
        public array $dates,
        private string $reason,
        private string $author,
        private Day $on,
        private array $harvested = [],
    ) {
    }

    /** @param  array<string, list<array{int, int}|null>>  $harvested */
    public function harvestedBy(array $harvested): self
    {
        return new self($this->dates, $this->reason, $this->author, $this->on, $harvested);
    }

    public function asksProof(): bool
    {
        return false;
    }

    public function windows(Crop $crop, ProofStandard $standard): array
    {
        $routes = [];
        foreach ($crop->routes as $route) {
            if (($this->dates[$route->value] ?? []) !== []) {
                $routes[] = $this->route($crop, $route, $this->dates[$route->value]);
            }
        }

        return $routes;
    }

    /** @param  non-empty-list<SowingWindow>  $windows */
    private function route(Crop $crop, Route $route, array $windows): RouteWindows
    {
        $derivation = new Derivation();
        $derivation->write(
            'own',
            Phrase::of('derivation.own', ['author' => $this->author, 'reason' => $this->reason]),
            null,
            null,
            Phrase::of('source.by-hand', ['day' => Phrase::day($this->on->yearDay()), 'year' => $this->on->year()]),
        );
        $weeks = $route === Route::Transplant ? $crop->underCover->weeks : null;
        $harvested = $this->harvested[$route->value] ?? null;
        $harvests =
            $harvested === null
                ? []
                : array_filter(
                    array_map(
                        static fn (SowingWindow $w): ?SowingWindow => $w->harvest(static fn (int $day): ?array => $harvested[$day - 1]),
                        $windows,
                    ),
                );

        return new RouteWindows(
            $route,
            $windows,
            $weeks === null ? [] : array_map(static fn (SowingWindow $w): SowingWindow => $w->shifted(-$weeks->days()), $windows),
            // One for each window, or none: a partial list would be matched with the wrong dates.
            count($harvests) === count($windows) ? array_values($harvests) : [],
            [],
            $derivation->lines(),
        );
    }
}
