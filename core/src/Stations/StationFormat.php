<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Tables\FormatError;
use Anthesis\Tables\LineSource;

/** One layout of station files. */
interface StationFormat
{
    /** @param  list<string>  $head the first lines that are not blank */
    public function recognises(array $head): bool;

    /** @throws FormatError if the file as a whole cannot be used */
    public function read(LineSource $lines, ReadingChoices $choices): StationSurvey;
}
