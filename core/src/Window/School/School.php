<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Crop\Crop;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\RouteWindows;

/**
 * A way of coming to sowing windows that growers hold to. Its constant KEY is what choices, dossiers and editions know it by, and
 * is never changed; `school.<key>` has its words. Schools lists those that are computed.
 */
interface School
{
    /** Whether its windows are others at another standard of proof. */
    public function asksProof(): bool;

    /** @return list<RouteWindows> one for each route of the crop it has something to say of */
    public function windows(Crop $crop, ProofStandard $standard): array;
}
