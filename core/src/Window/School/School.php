<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Crop\Crop;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\RouteWindows;

/**
 * A method of finding planting windows that growers use. Choices, crop evidence, and editions know it by its constant KEY, which never
 * changes; `school.<key>` has its words. Schools lists those that are computed.
 */
interface School
{
    /** Whether its windows depend on the confidence level. */
    public function asksProof(): bool;

    /** @return list<RouteWindows> one for each way of growing the crop that it has something to say about */
    public function windows(Crop $crop, ProofStandard $standard): array;
}
