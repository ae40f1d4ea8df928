<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Words\Refused;

/** The record is too short to say anything. */
final class RecordTooShort extends Refused
{
}
