<?php

declare(strict_types=1);

namespace App\Office;

/** Told when what gardeners read of the office is no longer what it was. */
final readonly class OfficeChanged
{
}
