<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Words\Refused;

/** The record holds too little to say anything. */
final class RecordTooShort extends Refused
{
}
