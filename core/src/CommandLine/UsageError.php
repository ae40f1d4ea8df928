<?php

declare(strict_types=1);

namespace Anthesis\CommandLine;

use RuntimeException;

/** A command that cannot be carried out; the message says why in one sentence. */
final class UsageError extends RuntimeException
{
}
