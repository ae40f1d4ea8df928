<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;

/** One line a person would write on paper: what, on which date, how many days, and where it comes from. */
final readonly class DerivationLine
{
    /**
     * @param  string  $key  name of the step
     * @param  int|null  $days  days added in this step (negative: subtracted)
     */
    public function __construct(
        public string $key,
        public Phrase $label,
        public ?YearDay $date,
        public ?int $days,
        public Phrase $source,
    ) {
    }
}
