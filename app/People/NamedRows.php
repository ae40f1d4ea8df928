<?php

declare(strict_types=1);

namespace App\People;

use App\Crops\CropRevision;
use App\Crops\LocalDaysOfCrop;
use App\Editions\Publication;
use App\Ground\Planting;
use App\Ground\Price;
use App\Log\LogEntry;
use App\Log\LogImport;
use App\Log\LogPhoto;
use App\Season\Packet;
use App\Soil\SoilReading;
use App\Stations\RecordImport;
use App\Stations\ReportedCorrection;
use App\Stations\StationDecision;
use App\Trials\Trial;
use App\Windows\CropChoice;
use App\Zones\Computation;
use Illuminate\Database\Eloquent\Model;

/** Rows of an office that name the person who did something. */
final class NamedRows
{
    /** @var list<array{class-string<Model>, string}> each model, and its column with a person's number */
    public const NAMED = [
        [Change::class, 'user_id'],
        [Computation::class, 'user_id'],
        [CropChoice::class, 'user_id'],
        [CropRevision::class, 'user_id'],
        [Invitation::class, 'invited_by'],
        [LocalDaysOfCrop::class, 'user_id'],
        [LocalDaysOfCrop::class, 'undone_by'],
        [LogEntry::class, 'user_id'],
        [LogImport::class, 'user_id'],
        [LogPhoto::class, 'user_id'],
        [Planting::class, 'user_id'],
        [Publication::class, 'user_id'],
        [RecordImport::class, 'user_id'],
        [ReportedCorrection::class, 'decided_by'],
        [SoilReading::class, 'user_id'],
        [SoilReading::class, 'withdrawn_by'],
        [StationDecision::class, 'user_id'],
        [Trial::class, 'user_id'],
    ];

    /** @var list<class-string<Model>> what belongs to the person, and is deleted with them */
    public const OWN = [Packet::class, Price::class];

    /** Removes a person's name from everything in the office in use; the number in its trail stays. */
    public static function forget(User $person): void
    {
        foreach (self::NAMED as [$model, $column]) {
            // This is not a change of the row, so its dates stay; and a sealed change is not sealed with the name.
            $model::query()->toBase()->where($column, $person->id)->update([$column => null]);
        }
        foreach (self::OWN as $model) {
            $model::query()->where('user_id', $person->id)->delete();
        }
    }
}
