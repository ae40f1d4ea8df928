<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\SowDay;

/** One line a person would write on paper: what, on which date, how many days, and where it is known from. */
final readonly class DerivationLine
{
    /**
     * @param  string  $key  stable name of the step, for translation and checks
     * @param  int|null  $days  days added (or, negative, taken off) in this step
     */
    public function __construct(
        public string $key,
        public string $label,
        public ?SowDay $date,
        public ?int $days,
        public string $source,
    ) {
    }
}
