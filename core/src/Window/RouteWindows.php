<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Crop\Route;

/** The windows of one crop by one way of growing, what lies outside them, and how they were reached. */
final readonly class RouteWindows
{
    /**
     * @param  list<SowingWindow>  $windows  when to direct sow, or transplant
     * @param  list<SowingWindow>  $underCover  when to start indoors, one for each window; empty for direct sowing
     * @param  list<SowingWindow>  $harvests  one for each window: from the earliest first harvest of its days to the latest last one
     * @param  list<ReasonSpan>  $reasons
     * @param  list<DerivationLine>  $derivation
     * @param  list<SowingWindow>  $fair  days with at least a fair chance; replay only
     * @param  list<WindowEvidence>  $evidence  one for each window; replay only
     * @param  list<FairChance>  $chances  fair days apart from the windows; replay only
     * @param  NoWindow|null  $noWindow  why there is none; only for a replay without windows
     */
    public function __construct(
        public Route $route,
        public array $windows,
        public array $underCover,
        public array $harvests,
        public array $reasons,
        public array $derivation,
        public array $fair = [],
        public array $evidence = [],
        public array $chances = [],
        public ?NoWindow $noWindow = null,
    ) {
    }

    public function without(NoWindow $noWindow): self
    {
        return new self(
            $this->route,
            $this->windows,
            $this->underCover,
            $this->harvests,
            $this->reasons,
            $this->derivation,
            $this->fair,
            $this->evidence,
            $this->chances,
            $noWindow,
        );
    }
}
