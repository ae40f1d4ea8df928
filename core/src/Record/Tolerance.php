<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** How far apart two numbers may be and still count as equal. */
final class Tolerance
{
    /** For sums of daily fractions, shares of years, and values from a file: the error of a decimal fraction in binary. */
    public const SUMS = 1e-9;
}
