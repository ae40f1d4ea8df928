<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\LoggedAct;
use App\Crops\Crop;
use App\Operations\KeyReused;
use App\People\User;
use App\Sites\Site;
use App\Soil\KeepReading;
use App\Soil\SaveSpot;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Saves an entry of the log, once however often it is sent, and rebuilds its planting. An entry that contradicts what is known is refused,
 * and nothing of it is saved.
 */
final class RecordEntry
{
    /** @var array<int, EntryChecks> by zone */
    private array $checks = [];

    /** @var array<int, int> by zone */
    private array $openGround = [];

    public function __construct(private readonly KeepReading $readings, private readonly SaveSpot $spots)
    {
    }

    /**
     * @param  string  $source  one of LogEntry::SOURCES
     * @param  CarbonImmutable  $writtenAt  by the server's clock
     *
     * @throws EntryRefused
     * @throws KeyReused if its key belongs to another entry, in this zone or in another
     */
    public function execute(Zone $zone, User $user, LoggedEntry $entry, string $source, CarbonImmutable $writtenAt): LogEntry
    {
        return DB::transaction(function () use ($zone, $user, $entry, $source, $writtenAt): LogEntry {
            // The same entry may be sent twice at the same time: they take turns, and the second finds the first.
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $before = LogEntry::sentBefore($entry->key, $entry->content($zone));
            if ($before !== null) {
                return $before;
            }
            $checks = $this->checks[$zone->id] ??= new EntryChecks($zone);
            $checks->assert($entry);
            $corrected = $entry->corrects === null ? null : $this->corrected($zone, $user, $entry->corrects, $entry->act);
            $crop = $checks->crop($entry);
            $sowing = $this->sowing($zone, $entry, $corrected);
            $bed = $this->bed($zone, $entry, $sowing);
            $crop ??= $sowing?->crop;
            if ($sowing === null && $entry->act->begins()) {
                $sowing = $this->begin($zone, $entry, $crop ?? throw new EntryRefused('crop', 'Choose which crop it was.'));
            }
            $kept = LogEntry::query()->create(self::columns($zone, $entry) + [
                'user_id' => $user->id,
                'sowing_id' => $sowing?->id,
                'crop_id' => $crop?->id,
                'bed_id' => $bed?->id,
                'corrects_id' => $corrected?->id,
                'source' => $source,
                'written_at' => $writtenAt,
            ]);
            $corrected?->update(['corrected_by' => $kept->id]);
            if ($sowing !== null) {
                (new RebuildSowing())->execute($sowing);
            }
            if ($entry->act === LoggedAct::Reading && $corrected === null) {
                LoggedReading::keep($this->readings, LoggedReading::spot($this->spots, $zone, $bed), $user, $entry);
            }

            return $kept;
        });
    }

    /** @return array<string, mixed> what the entry itself says */
    private static function columns(Zone $zone, LoggedEntry $entry): array
    {
        return [
            'idempotency_key' => $entry->key,
            'idempotency_hash' => LogEntry::hashOf($entry->content($zone)),
            'zone_id' => $zone->id,
            'act' => $entry->act,
            'day' => $entry->on->iso(),
            'told' => $entry->told,
            'photo' => $entry->photo,
            'taken_back' => $entry->takenBack,
        ];
    }

    /** The entry being corrected, locked; it is the one that counts now. */
    private function corrected(Zone $zone, User $user, string $key, LoggedAct $act): LogEntry
    {
        $entry =
            LogEntry::query()->where('zone_id', $zone->id)->where('idempotency_key', $key)->lockForUpdate()->first() ??
            throw new EntryRefused('corrects', 'The entry to correct is not in this log. Reload the page.');
        if ($entry->corrected_by !== null) {
            $by = LogEntry::query()->with('user')->find($entry->corrected_by);
            throw new EntryRefused(
                'corrects',
                ($by->user->name ?? 'Someone no longer here').
                    ' corrected this line meanwhile. Look at what it says now, then correct that.',
            );
        }
        if ($entry->user_id !== $user->id && ! $user->role->doesEducatorsWork()) {
            throw new EntryRefused('corrects', 'Only the person who wrote an entry, or an educator, can correct it. Add a note instead.');
        }
        if ($entry->act !== $act) {
            throw new EntryRefused('act', 'A correction has to be about the same task. Delete the entry and write another.');
        }

        return $entry;
    }

    private function sowing(Zone $zone, LoggedEntry $entry, ?LogEntry $corrected): ?Sowing
    {
        $id = $corrected?->sowing_id;
        if ($id === null && $entry->sowing === null) {
            return $entry->act->follows()
                ? throw new EntryRefused('sowing', 'Choose the planting this is about. If it is not in the log, log it first.')
                : null;
        }
        $sowings = Sowing::query()->where('zone_id', $zone->id)->lockForUpdate();

        return ($id === null
            ? $sowings->where('idempotency_key', $entry->sowing)->where('taken_back', false)->first()
            : $sowings->find($id)) ??
            throw new EntryRefused(
                'sowing',
                'The planting this is about is not in the log, or was deleted. Choose another, or log it first.',
            );
    }

    private function bed(Zone $zone, LoggedEntry $entry, ?Sowing $sowing): ?Bed
    {
        if ($entry->bed === null) {
            return $sowing?->bed;
        }

        return Bed::query()->createOrFirst(
            ['zone_id' => $zone->id, 'garden' => (string) $entry->garden, 'name' => $entry->bed],
            ['site_id' => ($this->openGround[$zone->id] ??= Site::seenIn($zone)->value('id'))],
        );
    }

    private function begin(Zone $zone, LoggedEntry $entry, Crop $crop): Sowing
    {
        return Sowing::query()->create([
            'idempotency_key' => $entry->key,
            'zone_id' => $zone->id,
            'crop_id' => $crop->id,
            'begun_on' => $entry->on->iso(),
        ]);
    }
}
