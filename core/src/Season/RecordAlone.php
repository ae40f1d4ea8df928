<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Window\School\FromReplay;

/** For a date that is not today: how the years on record turned out, whatever this season is like. */
final readonly class RecordAlone implements ProspectsSource
{
    public function __construct(private FromReplay $replay)
    {
    }

    public function prospects(Crop $crop, Route $route, Day $from, int $days): Prospects
    {
        return Prospects::ofRecord($this->replay->of($crop, $route)->ribbon, $from, $days);
    }
}
