<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

/**
 * The stations of a file, one after another: each is gathered until the next begins, and none may come back.
 *
 * @internal
 */
final class StationSequence
{
    /** The station being gathered; null before the first. */
    public ?SeriesBuilder $current = null;

    /** @var array<string, true> */
    private array $seen = [];

    public function __construct(private readonly ReadingChoices $choices)
    {
    }

    /** Whether this station's rows are asked for. */
    public function wants(?string $station): bool
    {
        return $this->choices->station === null || $station === $this->choices->station;
    }

    /**
     * Turns to the station a row belongs to.
     *
     * @return array{SeriesBuilder, SeriesBuilder|null} the row's station, and the one that ended with it
     *
     * @throws FormatError when the station had ended before
     */
    public function turnTo(?string $station, int $line): array
    {
        if ($this->current !== null && $this->current->station === $station) {
            return [$this->current, null];
        }
        if (isset($this->seen[(string) $station])) {
            throw FormatError::at($line, "the station {$station} comes back after another one. Sort the file by station.");
        }
        $this->seen[(string) $station] = true;
        $ended = $this->current;
        $this->current = new SeriesBuilder($station, $this->choices->today);

        return [$this->current, $ended];
    }
}
