<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;

/** A crop, or one of its varieties, that may be put in a bed. */
final readonly class Candidate
{
    /** @param  string|null  $variety  null: the crop itself */
    public function __construct(public Crop $crop, public ?string $variety, public Route $route, public GroundDays $days)
    {
    }

    /** @return string tells it apart from others */
    public function key(): string
    {
        return "{$this->crop->slug} {$this->route->value} {$this->variety}";
    }
}
