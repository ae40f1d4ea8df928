<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Climate\FreezeRisk;

/** The settings of counting back that an educator may want to change. */
final readonly class CountBackSettings
{
    /**
     * @param  bool  $holdForSoil  wait until the normal soil temperature reaches the crop's minimum
     * @param  int  $shortDayAllowance  days allowed for slow growth if maturity falls on days under 12 hours
     */
    public function __construct(
        public FreezeRisk $springRisk,
        public FreezeRisk $autumnRisk,
        public bool $holdForSoil = true,
        public int $shortDayAllowance = 14,
    ) {
    }

    public static function conventional(): self
    {
        return new self(FreezeRisk::oneYearIn(2), FreezeRisk::oneYearIn(2));
    }
}
