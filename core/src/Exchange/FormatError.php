<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use RuntimeException;

/** A file that cannot be taken as it is. The message names the place and the remedy. */
final class FormatError extends RuntimeException
{
    /** @param  string  $reason  the message without the place */
    private function __construct(string $message, public readonly ?int $atLine, public readonly ?string $column, public readonly string $reason)
    {
        parent::__construct($message);
    }

    public static function inFile(string $message): self
    {
        return new self($message, null, null, $message);
    }

    public static function at(int $line, string $message, ?string $column = null): self
    {
        $place = $column === null ? "Line {$line}" : "Line {$line}, column “{$column}”";

        return new self("{$place}: {$message}", $line, $column, $message);
    }
}
