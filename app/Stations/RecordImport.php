<?php

declare(strict_types=1);

namespace App\Stations;

use App\Operations\DatedByToday;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\People\NamesPerson;
use App\People\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * A station file that somebody uploaded.
 *
 * @phpstan-import-type Choices from StationFile
 *
 * @property int $id
 * @property int $station_id
 * @property string $file the name it was uploaded with
 * @property int $bytes
 * @property string $checksum SHA-256 of the file; also its name on the disk of originals
 * @property Choices $choices a person's corrections
 * @property RecordImportState $state
 * @property string|null $idempotency_key the sender's key, under which it is kept once
 * @property int $rows
 * @property int $refused_count
 * @property int $marks_count
 * @property array{new: int, changed: int, unchanged: int, kept: int}|null $update_counts values compared with the record before; null: it
 *   was the first, or replaced it
 * @property Carbon $created_at
 * @property-read Station $station
 * @property-read User|null $user
 * @property-read StationRecord|null $record
 */
#[NamesPerson('user_id')]
#[OfficeThrough('station_id', Station::class)]
class RecordImport extends Model
{
    use DatedByToday;
    use OfOffice;
    use SentOnce;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['state' => RecordImportState::class, 'choices' => 'array', 'update_counts' => 'array'];

    private const REPORTED = 'report ';

    /** @return string the key for a report, so it is kept once: 64 characters, like the column */
    public static function reported(string $what): string
    {
        return self::REPORTED.substr(hash('sha256', $what), 0, 57);
    }

    /** Whether the station sent it on its own. */
    public function isReport(): bool
    {
        return str_starts_with((string) $this->idempotency_key, self::REPORTED);
    }

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasOne<StationRecord, $this> */
    public function record(): HasOne
    {
        return $this->hasOne(StationRecord::class);
    }
}
