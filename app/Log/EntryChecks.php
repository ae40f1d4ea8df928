<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Operations\Say;
use App\Stations\Station;
use App\Stations\StationRecord;
use App\Trials\TrialPlot;
use App\Zones\Zone;

/**
 * What must be true of an entry no matter what else is in the log. Lookups are remembered, because a table asks for the same ones thousands
 * of times.
 */
final class EntryChecks
{
    private readonly string $today;

    /** The first day on record in the zone; blank: it has no record. */
    private readonly string $recordBegins;

    /** @var array<string, Crop|null> by slug */
    private array $crops = [];

    /** @var array<string, bool> by kind and number */
    private array $exists = [];

    public function __construct(private readonly Zone $zone)
    {
        $this->today = $zone->today()->iso();
        $this->recordBegins = (string) StationRecord::query()
            ->whereIn('id', Station::usedBy($zone)->pluck('record_id'))
            ->min('first_day');
    }

    /** @throws EntryRefused naming the first thing that is not possible */
    public function assert(LoggedEntry $entry): void
    {
        $on = $entry->on->iso();
        if ($on > $this->today) {
            throw new EntryRefused(
                'on',
                Say::date($entry->on).
                    ' has not come yet: today is '.
                    Say::date(Day::fromIso($this->today)).
                    '. Give the day it was done on.',
            );
        }
        if ($this->recordBegins !== '' && $on < $this->recordBegins) {
            throw new EntryRefused(
                'on',
                Say::date($entry->on).
                    ' is before the record of this zone begins ('.
                    Say::date(Day::fromIso($this->recordBegins)).
                    '), so nothing can be told of it. Check the year.',
            );
        }
        $this->assertKnown($entry);
    }

    /** @throws EntryRefused if it names a photo, a plant, or a plot that is not here */
    private function assertKnown(LoggedEntry $entry): void
    {
        if (
            $entry->photo !== null &&
            ! $this->exists("photo {$entry->photo}", static fn (): bool => LogPhoto::query()->where('checksum', $entry->photo)->exists())
        ) {
            throw new EntryRefused('photo', 'The photo did not arrive. Send it first.');
        }
        if (
            isset($entry->told['cue']) &&
            ! $this->exists("cue {$entry->told['cue']}", static fn (): bool => CuePlant::query()->whereKey($entry->told['cue'])->exists())
        ) {
            throw new EntryRefused('cue', 'There is no such plant on the county’s list. Choose another one.');
        }
        if (
            isset($entry->told['plot']) &&
            ! $this->exists(
                "plot {$entry->told['plot']}",
                fn (): bool => TrialPlot::inZone($this->zone)->whereKey($entry->told['plot'])->exists(),
            )
        ) {
            throw new EntryRefused('plot', 'No trial in this zone has such a plot. Reload the page.');
        }
    }

    /**
     * @return Crop|null null if the entry names none
     *
     * @throws EntryRefused
     */
    public function crop(LoggedEntry $entry): ?Crop
    {
        if ($entry->crop === null) {
            return null;
        }
        if (! array_key_exists($entry->crop, $this->crops)) {
            $this->crops[$entry->crop] = Crop::query()->where('slug', $entry->crop)->first();
        }

        return $this->crops[$entry->crop] ?? throw new EntryRefused('crop', 'The book has no such crop. Choose another one.');
    }

    /** @param  callable(): bool  $look */
    private function exists(string $what, callable $look): bool
    {
        return $this->exists[$what] ??= $look();
    }
}
