<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use Anthesis\Words\Phrase;
use Anthesis\Words\Refused;

/** A cell of a crop's row that cannot be used; `why` is a clause without a period. */
final class CropRefused extends Refused
{
    public function __construct(public readonly string $column, Phrase $why)
    {
        parent::__construct($why);
    }
}
