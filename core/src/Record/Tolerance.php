<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** How far apart two numbers may be and still be the same. */
final class Tolerance
{
    /** Sums of daily fractions, shares of years, values of a file: what is left of a decimal fraction in binary. */
    public const SUMS = 1e-9;
}
