<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\Day;

/** A bed with everything that is, was, and will be in it. */
final readonly class Bed
{
    private const ROUNDING = 1e-6;

    /** A bed that is free for fewer days is not an open space: hardly anything comes to harvest in it. */
    public const SHORTEST_GAP = 14;

    /**
     * @param  float  $length  m
     * @param  list<Occupancy>  $stays
     */
    public function __construct(public string $key, public float $length, public array $stays)
    {
    }

    public function with(Occupancy $stay): self
    {
        return new self($this->key, $this->length, [...$this->stays, $stay]);
    }

    /** The same bed without one of its stays. */
    public function without(string $key): self
    {
        return new self(
            $this->key,
            $this->length,
            array_values(array_filter($this->stays, static fn (Occupancy $s): bool => $s->key !== $key)),
        );
    }

    public function stay(?string $key): ?Occupancy
    {
        foreach ($this->stays as $stay) {
            if ($stay->key === $key) {
                return $stay;
            }
        }

        return null;
    }

    /** @return float meters that are free on every day from one to another */
    public function free(Day $from, Day $to): float
    {
        $most = 0.0;
        $here = array_filter($this->stays, static fn (Occupancy $s): bool => $s->overlaps($from, $to));
        // It is fullest on the first day, on a day something is planted, or when what grew between rows is left on its own.
        $days = [$from->number];
        foreach ($here as $stay) {
            array_push($days, max($stay->from->number, $from->number), min($stay->to->number + 1, $to->number));
        }
        foreach (array_unique($days) as $day) {
            $most = max($most, $this->taken($day));
        }

        return max(0.0, $this->length - $most);
    }

    /** @return list<array{from: Day, to: Day, metres: float, keys: list<string>}> spans of days on which more is in it than it is long */
    public function doubleBooked(): array
    {
        $spans = [];
        $edges = array_values(
            array_unique(
                array_merge(
                    array_map(static fn (Occupancy $s): int => $s->from->number, $this->stays),
                    array_map(static fn (Occupancy $s): int => $s->to->number + 1, $this->stays),
                ),
            ),
        );
        sort($edges);
        foreach ($edges as $i => $day) {
            $taken = $this->taken($day);
            if ($taken <= $this->length + self::ROUNDING || ! isset($edges[$i + 1])) {
                continue;
            }
            $keys = array_values(
                array_map(
                    static fn (Occupancy $s): string => $s->key,
                    array_filter($this->stays, static fn (Occupancy $s): bool => $s->isOn($day)),
                ),
            );
            $last = count($spans) - 1;
            if ($last >= 0 && $spans[$last]['to']->number === $day - 1) {
                $spans[$last] = [
                    'from' => $spans[$last]['from'],
                    'to' => Day::fromNumber($edges[$i + 1] - 1),
                    'metres' => max($spans[$last]['metres'], $taken),
                    'keys' => array_values(array_unique([...$spans[$last]['keys'], ...$keys])),
                ];
            } else {
                $spans[] = [
                    'from' => Day::fromNumber($day),
                    'to' => Day::fromNumber($edges[$i + 1] - 1),
                    'metres' => $taken,
                    'keys' => $keys,
                ];
            }
        }

        return $spans;
    }

    /** @return list<array{from: Day, to: Day}> spans of SHORTEST_GAP days or more, between two days, with nothing in it */
    public function gaps(Day $from, Day $to): array
    {
        $stays = array_filter($this->stays, static fn (Occupancy $s): bool => $s->overlaps($from, $to));
        usort($stays, static fn (Occupancy $a, Occupancy $b): int => $a->from->number <=> $b->from->number);
        $gaps = [];
        $free = $from->number;
        $taken = array_map(static fn (Occupancy $s): array => [$s->from->number, $s->to->number], $stays);
        foreach ([...$taken, [$to->number + 1, $to->number + 1]] as [$begins, $ends]) {
            if ($begins - $free >= self::SHORTEST_GAP) {
                $gaps[] = ['from' => Day::fromNumber($free), 'to' => Day::fromNumber($begins - 1)];
            }
            $free = max($free, $ends + 1);
        }

        return $gaps;
    }

    /** @return Occupancy|null what left it last before a day */
    public function before(Day $day): ?Occupancy
    {
        $last = null;
        foreach ($this->stays as $stay) {
            if ($stay->to->isBefore($day) && ($last === null || $stay->to->number > $last->to->number)) {
                $last = $stay;
            }
        }

        return $last;
    }

    /** @return Day|null when the next stay starts after a day */
    public function nextAfter(Day $day): ?Day
    {
        $next = null;
        foreach ($this->stays as $stay) {
            if ($day->isBefore($stay->from) && ($next === null || $stay->from->isBefore($next))) {
                $next = $stay->from;
            }
        }

        return $next;
    }

    /** What grows between the rows of another crop only takes meters of its own if it is longer than the other, or once that is gone. */
    private function taken(int $day): float
    {
        $taken = 0.0;
        $rows = [];
        foreach ($this->stays as $stay) {
            if ($stay->isOn($day) && $stay->between === null) {
                $taken += $stay->metres;
                $rows[$stay->key] = $stay->metres;
            }
        }
        foreach ($this->stays as $stay) {
            if ($stay->isOn($day) && $stay->between !== null) {
                $left = $rows[$stay->between] ?? 0.0;
                $taken += max(0.0, $stay->metres - $left);
                $rows[$stay->between] = max(0.0, $left - $stay->metres);
            }
        }

        return $taken;
    }
}
