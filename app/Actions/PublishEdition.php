<?php

declare(strict_types=1);

namespace App\Actions;

use Anthesis\Calendar\EditionDocument;
use App\Gardener\EditionPages;
use App\Models\Edition;
use App\Models\User;
use App\Models\Zone;
use App\Support\Today;
use App\Support\ZoneWindows;
use Illuminate\Support\Facades\DB;

/** Freezes what a zone's current computation came to as its next numbered edition, and renders its pages. */
final class PublishEdition
{
    public function __construct(private readonly EditionPages $pages)
    {
    }

    public function execute(Zone $zone, ZoneWindows $windows, string $note, User $user): Edition
    {
        $edition = DB::transaction(static function () use ($zone, $windows, $note, $user): Edition {
            // The lock makes two educators publishing at once take two numbers.
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $number = (int) Edition::query()->where('zone_id', $zone->id)->max('number') + 1;
            $today = Today::day();
            $document = EditionDocument::compose(
                $zone->toPlace(),
                $number,
                $today,
                $user->name,
                $note,
                $windows->method,
                $windows->record,
                $windows->ruler,
                $windows->sheets(),
            );

            return Edition::query()->create([
                'zone_id' => $zone->id,
                'number' => $number,
                'published_on' => $today->iso(),
                'published_by' => $user->name,
                'note' => $note,
                'document' => $document->json,
                'checksum' => $document->checksum,
            ]);
        });
        $this->pages->renderAll($edition->open());

        return $edition;
    }
}
