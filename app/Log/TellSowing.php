<?php

declare(strict_types=1);

namespace App\Log;

/** Tells a sowing anew from the lines of it that stand. */
final class TellSowing
{
    /** What comes before what; in the words of a refusal. */
    private const ORDER = [
        ['sown', 'set-out'], ['sown', 'up'], ['sown', 'first-picked'], ['sown', 'lost'], ['set-out', 'first-picked'], ['set-out', 'lost'], ['up', 'thinned'], ['up', 'first-picked'], ['first-picked', 'last-picked'],
    ];

    private const WORDS = ['sown' => 'sown', 'set-out' => 'set out', 'up' => 'up', 'thinned' => 'thinned', 'first-picked' => 'first picked', 'last-picked' => 'last picked', 'lost' => 'lost'];

    /** @throws EntryRefused when a day lies before one that must come first */
    public function execute(Sowing $sowing): void
    {
        $entries = $sowing->entries()->get()->all();
        $begins = array_values(array_filter($entries, static fn (LogEntry $e): bool => $e->act->begins()));
        if ($begins === []) {
            $sowing->update(['taken_back' => true]);

            return;
        }
        $days = $this->days($entries);
        $this->assertOrder($days);
        $pickings = array_filter($entries, static fn (LogEntry $e): bool => $e->act->isPicking());
        $qualities = array_filter(array_map(static fn (LogEntry $e): ?int => $e->told['quality'] ?? null, $pickings));
        $lost = array_values(array_filter($entries, static fn (LogEntry $e): bool => $e->act === LoggedAct::Lost));
        $first = $begins[0];
        $sowing->update([
            'taken_back' => false,
            'crop_id' => $first->crop_id ?? $sowing->crop_id,
            'variety' => $this->latest($begins, 'variety'),
            'bed_id' => end($begins)->bed_id,
            'under_cover' => $first->act === LoggedAct::Sown && ($first->told['under_cover'] ?? false) === true,
            'metres' => $this->latest($begins, 'metres'),
            'trial_plot_id' => $this->latest($begins, 'plot'),
            'sown_on' => $days['sown'] ?? null,
            'set_out_on' => $days['set-out'] ?? null,
            'up_on' => $days['up'] ?? null,
            'thinned_on' => $days['thinned'] ?? null,
            'first_picked_on' => $days['first-picked'] ?? null,
            'last_picked_on' => $days['last-picked'] ?? null,
            'lost_on' => $days['lost'] ?? null,
            'cause' => $lost === [] ? null : $lost[0]->told['cause'] ?? LossCause::Other->value,
            'kilograms' => $this->sum($pickings, 'kilograms'),
            'stems' => $this->sum($pickings, 'stems'),
            'quality' => $qualities === [] ? null : array_sum($qualities) / count($qualities),
            'begun_on' => $first->day->format('Y-m-d'),
            'ended_on' => max($days['last-picked'] ?? '', $days['lost'] ?? '') ?: null,
        ]);
    }

    /**
     * @param  list<LogEntry>  $entries  in the order of their days
     * @return array<string, string> by act: the first day of each but the last picking, which is the last
     */
    private function days(array $entries): array
    {
        $days = [];
        foreach ($entries as $entry) {
            $day = $entry->day->format('Y-m-d');
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
    private function assertOrder(array $days): void
    {
        foreach (self::ORDER as [$first, $then]) {
            if (isset($days[$first], $days[$then]) && $days[$then] < $days[$first]) {
                throw new EntryRefused('on', self::WORDS[$then]." on {$days[$then]} is before it was ".self::WORDS[$first]." on {$days[$first]}. Check the day, or choose the other sowing.");
            }
        }
    }

    /** @param  list<LogEntry>  $begins */
    private function latest(array $begins, string $of): mixed
    {
        foreach (array_reverse($begins) as $entry) {
            if (isset($entry->told[$of])) {
                return $entry->told[$of];
            }
        }

        return null;
    }

    /** @param  array<int, LogEntry>  $pickings */
    private function sum(array $pickings, string $of): int|float|null
    {
        $amounts = array_filter(array_map(static fn (LogEntry $e): int|float|null => $e->told[$of] ?? null, $pickings));

        return $amounts === [] ? null : array_sum($amounts);
    }
}
