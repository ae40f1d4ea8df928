<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Cues\CuePlant;
use App\Operations\Today;
use App\People\Role;
use App\People\User;
use App\Sites\Site;
use App\Soil\KeepReading;
use App\Soil\SaveSpot;
use App\Stations\Station;
use App\Stations\StationRecord;
use App\Trials\TrialPlot;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Keeps a line of the log, once however often it is sent, and tells its sowing anew. What contradicts what is known is refused, and
 * nothing of it is kept.
 */
final class KeepEntry
{
    /** Metres a thermometer is put in where nothing is said. */
    private const DEPTH = 0.05;

    private const MORNING = 9.0;

    /** @var array<int, string> by zone; blank: it has none. Thousands of lines ask for the same */
    private array $recordBegins = [];

    /** @var array<string, Crop> */
    private array $crops = [];

    /** @var array<int, int> by zone */
    private array $openGround = [];

    private ?Day $today = null;

    public function __construct(private readonly KeepReading $readings, private readonly SaveSpot $spots)
    {
    }

    /**
     * @param  string  $cameBy  of LogEntry::CAME_BY
     * @param  CarbonImmutable  $writtenAt  by the server's clock
     *
     * @throws EntryRefused
     */
    public function execute(Zone $zone, User $user, LoggedEntry $entry, string $cameBy, CarbonImmutable $writtenAt): LogEntry
    {
        return DB::transaction(function () use ($zone, $user, $entry, $cameBy, $writtenAt): LogEntry {
            $before = LogEntry::query()->where('sent_as', $entry->key)->first();
            if ($before !== null) {
                return $before->zone_id === $zone->id ? $before : throw new EntryRefused('key', 'A line of that key is in the log of another zone. Write it again.');
            }
            $this->assertDay($zone, $entry);
            $corrected = $entry->corrects === null ? null : $this->corrected($zone, $user, $entry->corrects, $entry->act);
            $crop = $this->crop($entry);
            $sowing = $this->sowing($zone, $entry, $corrected);
            $bed = $this->bed($zone, $entry, $sowing);
            $this->assertKnown($zone, $entry);
            $crop ??= $sowing?->crop;
            if ($sowing === null && $entry->act->begins()) {
                $sowing = $this->begin($zone, $entry, $crop ?? throw new EntryRefused('crop', 'Say which crop it was.'));
            }
            $kept = LogEntry::query()->create(['sent_as' => $entry->key, 'zone_id' => $zone->id, 'user_id' => $user->id, 'sowing_id' => $sowing?->id, 'crop_id' => $crop?->id, 'bed_id' => $bed?->id,
                'act' => $entry->act, 'day' => $entry->on->iso(), 'told' => $entry->told, 'photo' => $entry->photo, 'corrects_id' => $corrected?->id, 'taken_back' => $entry->takenBack,
                'came_by' => $cameBy, 'written_at' => $writtenAt]);
            $corrected?->update(['corrected_by' => $kept->id]);
            if ($sowing !== null) {
                (new TellSowing)->execute($sowing);
            }
            if ($entry->act === LoggedAct::Reading && $corrected === null) {
                $this->keepReading($zone, $user, $entry, $bed);
            }

            return $kept;
        });
    }

    private function assertDay(Zone $zone, LoggedEntry $entry): void
    {
        $today = $this->today ??= Today::day();
        if ($entry->on->number > $today->number) {
            throw new EntryRefused('on', "{$entry->on->iso()} has not come yet: today is {$today->iso()}. Give the day it was done on.");
        }
        $first = $this->recordBegins[$zone->id] ??= (string) StationRecord::query()->whereIn('id', Station::usedBy($zone)->pluck('record_id'))->min('first_day');
        if ($first !== '' && $entry->on->iso() < $first) {
            throw new EntryRefused('on', "{$entry->on->iso()} is before the record of this zone begins ({$first}), so nothing can be told of it. Check the year.");
        }
    }

    /** The line that is corrected, locked; it is the one that stands now. */
    private function corrected(Zone $zone, User $user, string $key, LoggedAct $act): LogEntry
    {
        $entry = LogEntry::query()->where('zone_id', $zone->id)->where('sent_as', $key)->lockForUpdate()->first()
            ?? throw new EntryRefused('corrects', 'The line to correct is not in this log. Load the page again.');
        if ($entry->corrected_by !== null) {
            $by = LogEntry::query()->with('user')->find($entry->corrected_by);
            throw new EntryRefused('corrects', ($by->user->name ?? 'Someone no longer here').' corrected this line meanwhile. Look at what it says now, then correct that.');
        }
        if ($entry->user_id !== $user->id && $user->role !== Role::Educator) {
            throw new EntryRefused('corrects', 'Only who wrote a line, or an educator, corrects it. Write a note beside it.');
        }
        if ($entry->act !== $act) {
            throw new EntryRefused('act', 'A correction tells of the same act. Take the line back and write another.');
        }

        return $entry;
    }

    private function crop(LoggedEntry $entry): ?Crop
    {
        return $entry->crop === null ? null : $this->crops[$entry->crop] ??= Crop::query()->where('slug', $entry->crop)->first() ?? throw new EntryRefused('crop', 'There is no such crop in the book. Choose another one.');
    }

    private function sowing(Zone $zone, LoggedEntry $entry, ?LogEntry $corrected): ?Sowing
    {
        $id = $corrected?->sowing_id;
        if ($id === null && $entry->sowing === null) {
            return $entry->act->follows() ? throw new EntryRefused('sowing', 'Say of which sowing this is told. If it is not in the log, write it first.') : null;
        }
        $sowings = Sowing::query()->where('zone_id', $zone->id)->lockForUpdate();

        return ($id === null ? $sowings->where('sent_as', $entry->sowing)->where('taken_back', false)->first() : $sowings->find($id))
            ?? throw new EntryRefused('sowing', 'The sowing this tells of is not in the log, or was taken back. Choose another, or write it first.');
    }

    private function bed(Zone $zone, LoggedEntry $entry, ?Sowing $sowing): ?Bed
    {
        if ($entry->bed === null) {
            return $sowing?->bed;
        }

        return Bed::query()->createOrFirst(['zone_id' => $zone->id, 'garden' => (string) $entry->garden, 'name' => $entry->bed], ['site_id' => $this->openGround[$zone->id] ??= Site::seenIn($zone)->value('id')]);
    }

    private function assertKnown(Zone $zone, LoggedEntry $entry): void
    {
        if ($entry->photo !== null && LogPhoto::query()->whereKey($entry->photo)->doesntExist()) {
            throw new EntryRefused('photo', 'The photograph did not arrive. Send it first.');
        }
        if (isset($entry->told['cue']) && CuePlant::query()->whereKey($entry->told['cue'])->doesntExist()) {
            throw new EntryRefused('cue', 'There is no such plant on the county’s list. Choose another one.');
        }
        if (isset($entry->told['plot']) && TrialPlot::inZone($zone)->whereKey($entry->told['plot'])->doesntExist()) {
            throw new EntryRefused('plot', 'There is no such plot in a trial of this zone. Load the page again.');
        }
    }

    private function begin(Zone $zone, LoggedEntry $entry, Crop $crop): Sowing
    {
        return Sowing::query()->create(['sent_as' => $entry->key, 'zone_id' => $zone->id, 'crop_id' => $crop->id, 'begun_on' => $entry->on->iso()]);
    }

    /** A reading of the log is one of the soil too: the bed is its spot. */
    private function keepReading(Zone $zone, User $user, LoggedEntry $entry, ?Bed $bed): void
    {
        $site = $bed->site ?? Site::seenIn($zone)->firstOrFail();
        $spot = $this->spots->execute($zone, Str::limit($bed === null ? $zone->name : "{$bed->garden}, {$bed->name}", 80, ''), $site);
        $this->readings->keep($spot, $user, $entry->key, $entry->on, (float) ($entry->told['hour'] ?? self::MORNING), (float) ($entry->told['depth'] ?? self::DEPTH), [], (float) $entry->told['celsius'], false);
    }
}
