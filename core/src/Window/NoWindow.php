<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Words\Phrase;

/** Why a crop has no window by a way of growing, and what would open one. */
final readonly class NoWindow
{
    /**
     * @param  YearDay  $nearest  the sow day with the best chance; if no year came to harvest, the one whose planting lasted longest
     * @param  int  $harvests  of $years
     * @param  Outcome|Reason|null  $reason  what most of the others were lost to on that day, or that the soil is never warm enough; null:
     *   nothing is on record
     * @param  int|null  $longestDays  packet days of the longest variety that has a week of the year; null: no quicker one does
     * @param  array<string, non-empty-list<SowingWindow>>  $openedBy  windows by the site, or cover, that opens them with the least trouble
     */
    public function __construct(
        public YearDay $nearest,
        public int $harvests,
        public int $years,
        public Outcome|Reason|null $reason,
        public ?int $longestDays = null,
        public array $openedBy = [],
    ) {
    }

    /** @param  array<string, non-empty-list<SowingWindow>>  $openedBy */
    public function unless(?int $longestDays, array $openedBy): self
    {
        return new self($this->nearest, $this->harvests, $this->years, $this->reason, $longestDays, $openedBy);
    }

    /** @return list<Phrase> */
    public function phrases(): array
    {
        $phrases = [];
        if ($this->reason instanceof Reason) {
            $phrases[] = Phrase::of('no-window.soil');
        } elseif ($this->reason !== null) {
            $reason = Phrase::of("outcome.{$this->reason->value}");
            $phrases[] =
                $this->harvests === 0
                    ? Phrase::of('no-window.never', ['years' => $this->years, 'outcome' => $reason, 'day' => Phrase::day($this->nearest)])
                    : Phrase::of('no-window.nearest', [
                        'harvests' => $this->harvests,
                        'years' => $this->years,
                        'day' => Phrase::day($this->nearest),
                        'outcome' => $reason,
                    ]);
        }
        if ($this->longestDays !== null) {
            $phrases[] = Phrase::of('no-window.variety', ['days' => $this->longestDays]);
        }
        foreach ($this->openedBy as $site => $windows) {
            foreach ($windows as $window) {
                $phrases[] = Phrase::of('no-window.opened', [
                    'cover' => Phrase::of('cover.'.str_replace(' ', '-', $site)),
                    'first' => Phrase::day($window->first),
                    'last' => Phrase::day($window->last),
                ]);
            }
        }

        return $phrases;
    }
}
