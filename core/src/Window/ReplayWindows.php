<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Words\Phrase;

/**
 * Planting windows from a replay: runs of at least five sow days, around the year, whose reliability reaches a share of the years and on
 * which nothing waits for the soil.
 *
 * Everything is figured around the year, so no hemisphere or climate is a special case.
 */
final readonly class ReplayWindows
{
    /** @var list<float> length 365, expected harvest of sow day i+1 */
    public array $expected;

    /**
     * @param  YearDay  $from  where the year starts: windows are listed from that day on
     * @param  SoilHold|null  $cold  days that wait for the soil's temperature; null: none
     * @param  GroundWait|null  $ground  from when on ground can be worked, if windows wait for that
     */
    public function __construct(
        private Crop $crop,
        private Route $route,
        public OutcomeRibbon $ribbon,
        private YearDay $from,
        private string $site,
        private ?SoilHold $cold = null,
        private ?GroundWait $ground = null,
    ) {
        $this->expected = $ribbon->expectedHarvest($crop->harvest->days);
    }

    /**
     * @return list<array{int, int}|null> length 365, days from sow day i+1 to the first (10%) and the last (90%) of its harvest; null: none
     */
    public function harvested(): array
    {
        return array_map($this->harvestedOn(...), range(1, YearDay::YEAR));
    }

    /** @param  bool  $raw  whether to return what the replay alone says: not waiting for soil, and not joined for print */
    public function at(float $share, bool $raw = false): RouteWindows
    {
        $derivation = new Derivation();
        $hold = $raw ? null : $this->hold($share);
        [$windows, $slivers] = $raw ? [$this->raw($share), []] : PrintedWindows::slivers($this->printed($share));
        $fair = $raw ? $this->raw(ProofStandard::FAIR) : $this->printed(ProofStandard::FAIR);
        $years = $this->ribbon->yearsOnRecord();
        $this->writeYears($derivation, $years);
        $evidence = [];
        foreach ($windows as $window) {
            $evidence[] = $found = $this->evidence($window, $windows, $fair);
            $this->write($derivation, $window, $found, $share, $years, $hold);
        }
        if ($windows === []) {
            $derivation->write(
                'none',
                Phrase::of('derivation.too-few-years'),
                null,
                null,
                Phrase::of('source.at-best', self::share(max([0.0, ...$this->ribbon->reliability]), $years)),
            );
        }
        $reasons = $this->reasons($windows, $hold);
        // Days that were never harvested are no window, so every window has a harvest.
        $harvests = array_map(fn (SowingWindow $w): SowingWindow => $this->harvest($w) ?? $w, $windows);

        return new RouteWindows(
            $this->route,
            $windows,
            $this->underCover($windows, $derivation),
            $harvests,
            ReasonSpan::of($reasons, $this->from),
            $derivation->lines(),
            $fair,
            $evidence,
            $this->chances($fair, $windows, $slivers),
            $windows === [] ? $this->nearest($hold) : null,
        );
    }

    private function writeYears(Derivation $derivation, int $years): void
    {
        $derivation->write(
            'replay',
            Phrase::of("derivation.replay-{$this->route->value}"),
            null,
            null,
            Phrase::of('source.years-on-record', [
                'years' => $years,
                'site' => $this->site,
                'maturity' => (new Maturity($this->crop))->phrase($this->route),
            ]),
        );
    }

    /**
     * @param  list<SowingWindow>  $windows
     * @return list<SowingWindow> when to start indoors for each; empty if nothing is
     */
    private function underCover(array $windows, Derivation $derivation): array
    {
        $weeks = $this->route === Route::Transplant ? $this->crop->underCover->weeks : null;
        if ($weeks === null) {
            return [];
        }
        $underCover = array_map(static fn (SowingWindow $w): SowingWindow => $w->shifted(-$weeks->days()), $windows);
        foreach (array_slice($underCover, 0, 1) as $first) {
            $derivation->write(
                'under-cover',
                Phrase::of('derivation.under-cover', [
                    'usual' => (float) $weeks->usual,
                    'least' => (float) $weeks->least,
                    'most' => (float) $weeks->most,
                ]),
                $first->first,
                -$weeks->days(),
                Phrase::of('source.under-cover'),
            );
        }

        return $underCover;
    }

    /**
     * @param  list<SowingWindow>  $fair
     * @param  list<SowingWindow>  $windows
     * @param  list<SowingWindow>  $slivers  windows too short to be shown as such
     * @return list<FairChance>
     */
    private function chances(array $fair, array $windows, array $slivers): array
    {
        $apart = [];
        foreach ($fair as $days) {
            if (array_filter($windows, static fn (SowingWindow $window): bool => $days->contains($window->first)) === []) {
                $apart[] = $days;
            }
        }
        // A sliver among days that are shown as a fair chance anyway is shown with them.
        foreach ($slivers as $sliver) {
            if (array_filter($apart, static fn (SowingWindow $days): bool => $days->contains($sliver->first)) === []) {
                $apart[] = $sliver;
            }
        }
        $since = fn (SowingWindow $days): int => $this->from->daysUntil($days->first);
        usort($apart, static fn (SowingWindow $a, SowingWindow $b): int => $since($a) <=> $since($b));

        return array_map(function (SowingWindow $days): FairChance {
            $sum = 0.0;
            for ($i = 0; $i < $days->days; $i++) {
                $sum += $this->ribbon->reliability[($days->first->number + $i - 1) % YearDay::YEAR];
            }

            return new FairChance($days, (int) floor((10 * $sum) / $days->days + Tolerance::SUMS));
        }, $apart);
    }

    /**
     * The day with the best chance, among those on which nothing waits for the soil; if no year ever came to harvest, the one whose
     * planting lasted longest.
     */
    private function nearest(?SoilHold $hold): NoWindow
    {
        $chance = $this->ribbon->reliability;
        if (max([0.0, ...$chance]) === 0.0) {
            $chance = $this->ribbon->daysLived();
        }
        $held = $hold->days ?? [];
        $always = $hold !== null && ! in_array(false, $held, true);
        if ($held !== [] && ! $always) {
            $chance = array_map(static fn (float $c, bool $waits): float => $waits ? -1.0 : $c, $chance, $held);
        }
        $nearest = $this->from;
        for ($i = 1; $i < YearDay::YEAR; $i++) {
            $day = $this->from->plus($i);
            if ($chance[$day->number - 1] > $chance[$nearest->number - 1] + Tolerance::SUMS) {
                $nearest = $day;
            }
        }

        return new NoWindow(
            $nearest,
            $this->ribbon->yearsOf($nearest, Outcome::Harvest),
            $this->ribbon->years[$nearest->number - 1],
            $always && $this->ribbon->reliability[$nearest->number - 1] >= ProofStandard::FAIR - Tolerance::SUMS
                ? $hold->reason($nearest)
                : $this->ribbon->reason($nearest),
        );
    }

    /** @return array{int, int}|null */
    private function harvestedOn(int $sowDay): ?array
    {
        $days = $this->ribbon->daysToHarvest(YearDay::fromNumber($sowDay));

        return $days === null ? null : [$days[0], $days[3]];
    }

    /** @return SowingWindow|null when what is sown in a window is harvested; null if none of it ever was */
    public function harvest(SowingWindow $window): ?SowingWindow
    {
        return $window->harvestedFrom($this->ribbon->harvestSpan($window->first, $window->days));
    }

    /** @return list<SowingWindow> days on which harvests reach a share of the years, and nothing waits for the soil */
    public function windows(float $share): array
    {
        return self::reaching($this->ribbon->reliability, $share, $this->from, $this->hold($share));
    }

    /** @return list<SowingWindow> days on which harvests reach a share of the years, whatever the soil */
    public function raw(float $share): array
    {
        return self::reaching($this->ribbon->reliability, $share, $this->from);
    }

    /** @return list<SowingWindow> windows() as a calendar prints them, slivers and all */
    public function printed(float $share): array
    {
        return PrintedWindows::joined($this->windows($share), $this->ribbon->reliability, $this->hold($share), $share, $this->from);
    }

    /** @return float|null the soil temperature the crop waits for, °C; null: it never has to */
    public function soilMinimum(): ?float
    {
        return $this->cold?->minimumC;
    }

    /** @return SoilHold|null the days that wait for their ground at a share of the years; null: none */
    public function hold(float $share): ?SoilHold
    {
        return SoilHold::orWet($this->cold, $this->ground?->days($share));
    }

    /** @return list<SowingWindow> days that wait for their ground even though the years reach a share */
    public function held(float $share): array
    {
        $hold = $this->hold($share);

        return $hold === null
            ? []
            : WindowFinder::runs(
                array_map(
                    static fn (float $harvested, bool $waits): bool => $waits && $harvested >= $share - Tolerance::SUMS,
                    $this->ribbon->reliability,
                    $hold->days,
                ),
                $this->from,
            );
    }

    /**
     * @param  list<float>  $reliability  length 365, share of years that sow day i+1 was harvested in
     * @return list<SowingWindow> days on which it reaches a share, listed from a day on
     */
    public static function reaching(array $reliability, float $share, YearDay $from, ?SoilHold $hold = null): array
    {
        $least = $share - Tolerance::SUMS;
        $waits = $hold->days ?? [];
        $open = [];
        foreach ($reliability as $i => $harvested) {
            $open[] = $harvested >= $least && ! ($waits[$i] ?? false);
        }

        return WindowFinder::runs($open, $from, ProofStandard::LEAST_DAYS);
    }

    /**
     * @param  list<SowingWindow>  $windows
     * @param  list<SowingWindow>  $fair
     */
    private function evidence(SowingWindow $window, array $windows, array $fair): WindowEvidence
    {
        $most = -1.0;
        $bestDays = [];
        for ($i = 0; $i < $window->days; $i++) {
            $reliability = round($this->ribbon->reliability[($window->first->number + $i - 1) % YearDay::YEAR], 6);
            if ($reliability > $most) {
                $most = $reliability;
                $bestDays = [];
            }
            if ($reliability === $most) {
                $bestDays[] = $i;
            }
        }
        $best = $window->first->plus($bestDays[intdiv(count($bestDays), 2)]);
        $slack = 0;
        foreach ($fair as $wider) {
            if ($wider->contains($window->last) && ! $wider->isAllYear()) {
                $slack = $window->last->daysUntil($wider->last);
            }
        }
        foreach ($windows as $other) {
            if ($other !== $window) {
                $slack = min($slack, $window->last->daysUntil($other->first) - 1);
            }
        }

        return new WindowEvidence(
            $best,
            BestSpan::of($window, $this->expected),
            $this->ribbon->yearsOf($best, Outcome::Harvest),
            $this->ribbon->years[$best->number - 1],
            $slack,
            $this->firstHarvests($window->first),
            $this->firstHarvests($window->last),
        );
    }

    /** @return array{YearDay, YearDay, YearDay}|null */
    private function firstHarvests(YearDay $sown): ?array
    {
        $days = $this->ribbon->daysToHarvest($sown);

        return $days === null ? null : [$sown->plus($days[0]), $sown->plus($days[1]), $sown->plus($days[2])];
    }

    private function write(
        Derivation $derivation,
        SowingWindow $window,
        WindowEvidence $evidence,
        float $share,
        int $years,
        ?SoilHold $hold,
    ): void {
        $act = Phrase::of("act.{$this->crop->act($this->route)->value}");
        $asked = Phrase::of('source.asked', self::share($share, $years));
        if ($window->isAllYear()) {
            $derivation->write('all-year', Phrase::of('derivation.all-year'), null, null, $asked);
        } else {
            $derivation->write(
                'first',
                Phrase::of('derivation.first', ['act' => $act]),
                $window->first,
                null,
                $this->lost($asked, 'before', $window->first->plus(-1), $hold),
            );
            $derivation->write(
                'last',
                $evidence->slackDays > 0
                    ? Phrase::of('derivation.last-with-slack', ['act' => $act, 'slack' => $evidence->slackDays])
                    : Phrase::of('derivation.last', ['act' => $act]),
                $window->last,
                $window->days - 1,
                $this->lost($asked, 'after', $window->last->plus(1), $hold),
            );
        }
        $derivation->write(
            'best',
            Phrase::of('derivation.best', ['harvests' => $evidence->harvests, 'years' => $evidence->years]),
            $evidence->best,
            null,
            Phrase::of('source.replay'),
        );
        $derivation->write(
            'best-span',
            Phrase::of('derivation.best-span', [
                'first' => Phrase::day($evidence->span->first),
                'last' => Phrase::day($evidence->span->last),
            ]),
            $evidence->span->first,
            $evidence->span->days - 1,
            Phrase::of('source.replay'),
        );
        if ($evidence->fromFirst !== null) {
            $derivation->write(
                'harvest',
                Phrase::of('derivation.first-harvest', [
                    'from' => Phrase::day($evidence->fromFirst[0]),
                    'to' => Phrase::day($evidence->fromFirst[2]),
                ]),
                $evidence->fromFirst[1],
                $window->first->daysUntil($evidence->fromFirst[1]),
                Phrase::of('source.replay'),
            );
        }
    }

    /** What a window needs, and what most plantings on the day beside it were lost to. */
    private function lost(Phrase $asked, string $side, YearDay $day, ?SoilHold $hold): Phrase
    {
        if ($hold !== null && $hold->holds($day)) {
            return $hold->reason($day) === Reason::WetGround
                ? Phrase::of("source.wet-{$side}", ['asked' => $asked])
                : Phrase::of("source.held-{$side}", ['asked' => $asked, 'soil' => Phrase::celsius($hold->minimumC ?? 0.0)]);
        }
        $reason = $this->ribbon->reason($day);

        return $reason === null
            ? $asked
            : Phrase::of("source.lost-{$side}", [
                'asked' => $asked,
                'outcome' => Phrase::of("outcome.{$reason->value}"),
                'lost' => $this->ribbon->yearsOf($day, $reason),
                'years' => $this->ribbon->years[$day->number - 1],
            ]);
    }

    /**
     * @param  list<SowingWindow>  $windows
     * @return list<Outcome|Reason|null> length 365, null inside a window
     */
    private function reasons(array $windows, ?SoilHold $hold): array
    {
        $open = [];
        foreach ($windows as $window) {
            for ($i = 0; $i < $window->days; $i++) {
                $open[(($window->first->number + $i - 1) % YearDay::YEAR) + 1] = true;
            }
        }
        $reasons = [];
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $waits =
                $hold?->days[$day - 1] === true &&
                $this->ribbon->reliability[$day - 1] >= ProofStandard::FAIR - Tolerance::SUMS;
            $reasons[] = match (true) {
                isset($open[$day]) => null,
                $waits => $hold->reason(YearDay::fromNumber($day)),
                default => $this->ribbon->reason(YearDay::fromNumber($day)),
            };
        }

        return $reasons;
    }

    /** @return array{harvests: int, years: int} */
    private static function share(float $share, int $years): array
    {
        return ['harvests' => (int) ceil(round($share * $years, 6)), 'years' => $years];
    }
}
