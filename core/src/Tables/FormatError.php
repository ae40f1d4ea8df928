<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use Anthesis\Messages\Words;
use Anthesis\Words\Phrase;
use Anthesis\Words\Refused;

/** A file that cannot be used as it is. The message is in English, for the command line and for logs. */
final class FormatError extends Refused
{
    /**
     * @param  Phrase  $why  with the place
     * @param  Phrase  $reason  without it
     * @param  list<string>  $headings  names of the file's columns, as far as they were recognized
     */
    private function __construct(
        Phrase $why,
        public readonly Phrase $reason,
        public readonly ?int $atLine = null,
        public readonly ?string $column = null,
        public readonly array $headings = [],
    ) {
        parent::__construct($why, Words::in('en')->phrase($why));
    }

    /** @param  array<string, int|float|string|Phrase>  $with */
    public static function inFile(string $reason, array $with = []): self
    {
        $reason = Phrase::of("error.{$reason}", $with);

        return new self($reason, $reason);
    }

    /** @param  array<string, int|float|string|Phrase>  $with */
    public static function at(int $line, string $reason, array $with = [], ?string $column = null): self
    {
        $reason = Phrase::of("error.{$reason}", $with);
        $place =
            $column === null
                ? Phrase::of('error.at-line', ['line' => $line, 'reason' => $reason])
                : Phrase::of('error.at-cell', ['line' => $line, 'column' => $column, 'reason' => $reason]);

        return new self($place, $reason, $line, $column);
    }

    /** @param  list<string>  $headings */
    public function withHeadings(array $headings): self
    {
        return new self(
            $this->why,
            $this->reason,
            $this->atLine,
            $this->column,
            array_map(static fn (string $h): string => mb_scrub($h, 'UTF-8'), $headings),
        );
    }
}
