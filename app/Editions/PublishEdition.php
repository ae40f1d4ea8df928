<?php

declare(strict_types=1);

namespace App\Editions;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Crop\Crop;
use App\Operations\Today;
use App\People\User;
use App\Windows\ZoneWindows;
use App\Zones\Computation;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Freezes what a zone's windows came to as its next numbered edition, and has its pages made; then it is in force.
 *
 * @phpstan-import-type Sheet from CropSheet
 */
final class PublishEdition
{
    /**
     * @param  string  $sentAs  a key of the sender's: sent again, the same request publishes nothing again
     * @param  bool  $evenUnchanged  publish although nothing differs from the edition in force
     *
     * @throws CannotPublish
     */
    public function execute(Zone $zone, string $note, string $sentAs, User $user, bool $evenUnchanged = false): Publication
    {
        return DB::transaction(function () use ($zone, $note, $sentAs, $user, $evenUnchanged): Publication {
            // The lock makes two educators publishing at once take their turns.
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $zone->refresh();
            $before = Publication::query()->where('sent_as', $sentAs)->first();
            if ($before !== null) {
                return $before->zone_id === $zone->id ? $before : throw new CannotPublish('This request was sent for another zone. Load the page again.');
            }
            $windows = $this->windows($zone);
            $last = Edition::query()->where('zone_id', $zone->id)->orderByDesc('number')->first();
            if ($last !== null && $last->in_force_at === null) {
                throw new CannotPublish("Edition {$last->number} is being published. Wait until it is in force.");
            }
            $number = ($last->number ?? 0) + 1;
            $today = Today::day();
            $document = EditionDocument::compose($zone->toPlace(), $number, $today, $user->name, $note,
                $windows->method, $windows->record, $windows->ruler, self::forGardeners($windows->sheets()));
            if (! $evenUnchanged && $last !== null && $last->isSound() && $last->open()->saysTheSameAs($document)) {
                throw new CannotPublish("Nothing has changed since edition {$last->number}: every window is the same.", 'unchanged');
            }
            $edition = Edition::freeze($zone, $number, $today, $user->name, $note, $document);
            $publication = Publication::query()->create(['zone_id' => $zone->id, 'user_id' => $user->id, 'edition_id' => $edition->id,
                'sent_as' => $sentAs, 'state' => Publication::QUEUED]);
            event(new EditionFrozen($edition->id));

            return $publication;
        });
    }

    /**
     * @param  list<Sheet>  $sheets
     * @return list<Sheet> without cover crops, which are for the ground
     */
    private static function forGardeners(array $sheets): array
    {
        return array_values(array_filter($sheets, static fn (array $sheet): bool => $sheet['kind'] !== Crop::COVER));
    }

    private function windows(Zone $zone): ZoneWindows
    {
        $latest = Computation::query()->where('zone_id', $zone->id)->whereNull('site_id')->latest('id')->first();
        if ($zone->isStale() && $latest !== null) {
            throw new CannotPublish(match ($latest->state) {
                Computation::FAILED => "The last computing failed: {$latest->error} Put that right first; what the screens show is older.",
                Computation::CANCELLED => 'The last computing was cancelled, so the windows are older than what is known. Compute the zone again first.',
                default => 'The windows are being computed. Wait until that is done, look at them, then publish.',
            });
        }

        return ZoneWindows::of($zone) ?? throw new CannotPublish('There is nothing to publish yet. Bring a station file first.');
    }
}
