<?php

declare(strict_types=1);

namespace Anthesis\Words;

use RuntimeException;

/** Input that the core cannot use. `why` names the place and the remedy; it is put into words where it is shown. */
abstract class Refused extends RuntimeException
{
    /** @param  string|null  $message  for a log; null: the phrase as JSON */
    public function __construct(public readonly Phrase $why, ?string $message = null)
    {
        parent::__construct($message ?? (string) json_encode($why, JSON_UNESCAPED_UNICODE));
    }
}
