<?php

declare(strict_types=1);

namespace Anthesis\Words;

use RuntimeException;

/** Something brought to the core that cannot be taken. `why` names the place and the remedy; its words are said at the edge. */
abstract class Refused extends RuntimeException
{
    /** @param  string|null  $message  for a log; null: the phrase as JSON */
    public function __construct(public readonly Phrase $why, ?string $message = null)
    {
        parent::__construct($message ?? (string) json_encode($why, JSON_UNESCAPED_UNICODE));
    }
}
