<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;

/** What tells the prospects of a crop: this season's members or, for another date, the record alone. */
interface ProspectsSource
{
    /** @param  int  $days  how many, from the first on, at least one */
    public function prospects(Crop $crop, Route $route, Day $from, int $days): Prospects;
}
