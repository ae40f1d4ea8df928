<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** What makes a crop run to seed. */
final readonly class Bolting
{
    /** @param  int|null  $chillDays  cold days, after which lengthening days do; null: they do not */
    public function __construct(public ?int $chillDays)
    {
    }
}
