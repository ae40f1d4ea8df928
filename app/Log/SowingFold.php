<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Record\Day;
use App\Operations\Say;

/** What the entries of a sowing come to: its days, its place, and its harvest. */
final class SowingFold
{
    /** What comes before what; in the words of a refusal. */
    private const ORDER = [
        ['sown', 'set-out'], ['sown', 'up'], ['sown', 'first-picked'], ['sown', 'lost'], ['set-out', 'first-picked'], ['set-out', 'lost'], ['up', 'thinned'], ['up', 'first-picked'], ['first-picked', 'last-picked'],
    ];

    private const WORDS = ['sown' => 'sown', 'set-out' => 'set out', 'up' => 'up', 'thinned' => 'thinned', 'first-picked' => 'first picked', 'last-picked' => 'last picked', 'lost' => 'lost'];

    /**
     * @param  list<StandingEntry>  $entries  those that count, in the order of their days
     * @return array<string, mixed>|null the columns of a sowing; null: nothing is left that it could have begun with
     *
     * @throws EntryRefused when a day comes before one that must come first
     */
    public static function of(array $entries): ?array
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

        return ($first->cropId === null ? [] : ['crop_id' => $first->cropId]) + [
            'taken_back' => false,
            'variety' => self::latest($begins, 'variety'),
            'bed_id' => end($begins)->bedId,
            'under_cover' => $first->act === LoggedAct::Sown && ($first->told['under_cover'] ?? false) === true,
            'metres' => self::latest($begins, 'metres'),
            'trial_plot_id' => self::latest($begins, 'plot'),
            'sown_on' => $days['sown'] ?? null,
            'set_out_on' => $days['set-out'] ?? null,
            'up_on' => $days['up'] ?? null,
            'thinned_on' => $days['thinned'] ?? null,
            'first_picked_on' => $days['first-picked'] ?? null,
            'last_picked_on' => $days['last-picked'] ?? null,
            'lost_on' => $days['lost'] ?? null,
            'cause' => $lost === [] ? null : $lost[0]->told['cause'] ?? LossCause::Other->value,
            'kilograms' => self::sum($pickings, 'kilograms'),
            'stems' => self::sum($pickings, 'stems'),
            'quality' => $qualities === [] ? null : array_sum($qualities) / count($qualities),
            'begun_on' => $first->day,
            'ended_on' => max($days['last-picked'] ?? '', $days['lost'] ?? '') ?: null,
        ];
    }

    /**
     * @param  list<StandingEntry>  $entries  in the order of their days
     * @return array<string, string> by act: the first day of each but the last picking, which is the last
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
            } elseif (isset(self::WORDS[$entry->act->value])) {
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
                throw new EntryRefused('on', self::WORDS[$then].' on '.Say::date(Day::fromIso($days[$then])).' is before it was '.self::WORDS[$first].' on '.Say::date(Day::fromIso($days[$first])).'. Check the day, or choose the other sowing.');
            }
        }
    }

    /** @param  list<StandingEntry>  $begins */
    private static function latest(array $begins, string $of): mixed
    {
        foreach (array_reverse($begins) as $entry) {
            if (isset($entry->told[$of])) {
                return $entry->told[$of];
            }
        }

        return null;
    }

    /** @param  array<int, StandingEntry>  $pickings */
    private static function sum(array $pickings, string $of): int|float|null
    {
        $amounts = array_filter(array_map(static fn (StandingEntry $e): int|float|null => $e->told[$of] ?? null, $pickings));

        return $amounts === [] ? null : array_sum($amounts);
    }
}
