<?php

declare(strict_types=1);

namespace Anthesis\Record;

use RuntimeException;

/** The record holds too little to say anything; the message says what is missing. */
final class RecordTooShort extends RuntimeException
{
}
