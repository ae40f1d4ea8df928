<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use RuntimeException;

/** A file that cannot be taken as it is. The message names the place and the remedy. */
final class FormatError extends RuntimeException
{
    /**
     * @param  string  $reason  the message without the place
     * @param  list<string>  $headings  names of the file's columns, as far as they were understood
     */
    private function __construct(string $message, public readonly ?int $atLine, public readonly ?string $column, public readonly string $reason,
        public readonly array $headings = [])
    {
        // A cell of the file may stand in it, cut anywhere.
        parent::__construct(mb_scrub($message, 'UTF-8'));
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

    /** @param  list<string>  $headings */
    public function withHeadings(array $headings): self
    {
        return new self($this->getMessage(), $this->atLine, $this->column, $this->reason, array_map(static fn (string $h): string => mb_scrub($h, 'UTF-8'), $headings));
    }
}
