<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;

/** Where the prospects of a crop come from: this season's members or, for another date, the record alone. */
interface ProspectsSource
{
    /** @param  int  $days  how many, starting with the first, at least one */
    public function prospects(Crop $crop, Route $route, Day $from, int $days): Prospects;
}
