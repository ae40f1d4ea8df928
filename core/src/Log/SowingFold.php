<?php

declare(strict_types=1);

namespace Anthesis\Log;

use Anthesis\Record\Day;
use Anthesis\Words\Phrase;

/** What the entries of a planting add up to: its days, its place, and its harvest. */
final class SowingFold
{
    /** What has to come before what. */
    private const ORDER = [
        ['sown', 'set-out'],
        ['sown', 'up'],
        ['sown', 'first-picked'],
        ['sown', 'lost'],
        ['set-out', 'first-picked'],
        ['set-out', 'lost'],
        ['up', 'thinned'],
        ['up', 'first-picked'],
        ['first-picked', 'last-picked'],
    ];

    /** Entries that give a planting its dates. */
    private const DATING = ['sown', 'set-out', 'up', 'thinned', 'first-picked', 'last-picked', 'lost'];

    /**
     * @param  list<StandingEntry>  $entries  those that count, in order of their days
     * @return LoggedSowing|null null: no entry is left that could start it
     *
     * @throws OutOfOrder if a day comes before one that must come first
     */
    public static function of(array $entries): ?LoggedSowing
    {
        $begins = array_values(array_filter($entries, static fn (StandingEntry $e): bool => $e->act->begins()));
        if ($begins === []) {
            return null;
        }
        $days = self::days($entries);
        self::assertOrder($days);
        $pickings = array_filter($entries, static fn (StandingEntry $e): bool => $e->act->isPicking());
        $qualities = array_filter(array_map(static fn (StandingEntry $e): ?int => $e->told['quality'] ?? null, $pickings));
        $lost = array_values(array_filter($entries, static fn (StandingEntry $e): bool => $e->act === LoggedAct::Lost));
        $first = $begins[0];
        $stems = self::sum($pickings, static fn (StandingEntry $e) => $e->told['stems'] ?? null);

        return new LoggedSowing(
            cropId: $first->cropId,
            variety: self::latest($begins, static fn (StandingEntry $e) => $e->told['variety'] ?? null),
            bedId: end($begins)->bedId,
            plot: self::latest($begins, static fn (StandingEntry $e) => $e->told['plot'] ?? null),
            metres: self::latest($begins, static fn (StandingEntry $e) => $e->told['metres'] ?? null),
            underCover: $first->act === LoggedAct::Sown && ($first->told['under_cover'] ?? false) === true,
            days: $days,
            begun: $first->day,
            cause: $lost === [] ? null : $lost[0]->told['cause'] ?? LossCause::Other->value,
            kilograms: self::sum($pickings, static fn (StandingEntry $e) => $e->told['kilograms'] ?? null),
            stems: $stems === null ? null : (int) $stems,
            quality: $qualities === [] ? null : array_sum($qualities) / count($qualities),
        );
    }

    /**
     * @param  list<StandingEntry>  $entries  in order of their days
     * @return array<string, string> by task: the first day of each, except for the last harvest, which is the last
     */
    private static function days(array $entries): array
    {
        $days = [];
        foreach ($entries as $entry) {
            $day = $entry->day;
            if ($entry->act->isPicking()) {
                $days['first-picked'] ??= $day;
            }
            if ($entry->act === LoggedAct::LastPicked) {
                $days['last-picked'] = $day;
            } elseif (in_array($entry->act->value, self::DATING, true)) {
                $days[$entry->act->value] ??= $day;
            }
        }

        return $days;
    }

    /** @param  array<string, string>  $days */
    private static function assertOrder(array $days): void
    {
        foreach (self::ORDER as [$first, $then]) {
            if (isset($days[$first], $days[$then]) && $days[$then] < $days[$first]) {
                throw new OutOfOrder(
                    Phrase::of('error.log-order', [
                        'then' => Phrase::of("logged.{$then}"),
                        'on' => self::date($days[$then]),
                        'first' => Phrase::of("logged.{$first}"),
                        'before' => self::date($days[$first]),
                    ]),
                );
            }
        }
    }

    private static function date(string $iso): Phrase
    {
        $day = Day::fromIso($iso);

        return Phrase::of('date', ['day' => Phrase::day($day->yearDay()), 'year' => (string) $day->year()]);
    }

    /**
     * @template T
     *
     * @param  list<StandingEntry>  $begins
     * @param  callable(StandingEntry): (T|null)  $of
     * @return T|null what the latest entry that says it says
     */
    private static function latest(array $begins, callable $of): mixed
    {
        foreach (array_reverse($begins) as $entry) {
            if ($of($entry) !== null) {
                return $of($entry);
            }
        }

        return null;
    }

    /**
     * @param  array<int, StandingEntry>  $pickings
     * @param  callable(StandingEntry): (int|float|null)  $of
     * @return int|float|null null: none says how much
     */
    private static function sum(array $pickings, callable $of): int|float|null
    {
        $sum = null;
        foreach ($pickings as $picking) {
            $amount = $of($picking);
            $sum = $amount === null ? $sum : $sum + $amount;
        }

        return $sum;
    }
}
