<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\LoggedAct;
use Anthesis\Log\StandingEntry;
use App\Crops\Crop;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\People\NamesPerson;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * An entry of the log. It never changes: another entry corrects or deletes it.
 *
 * @property int $id
 * @property string $idempotency_key the sender's key: sent twice, it is saved once
 * @property int $zone_id
 * @property int|null $user_id null: somebody no longer here
 * @property int|null $sowing_id the planting it is about
 * @property int|null $crop_id
 * @property int|null $bed_id
 * @property LoggedAct $act
 * @property Carbon $day
 * @property array<string, mixed> $told variety, lot, metres, plants, kilograms, stems, quality, cause, celsius, depth, hour, text …: only
 *   what was entered
 * @property string|null $photo checksum
 * @property int|null $corrects_id the entry it replaces
 * @property int|null $corrected_by the entry that replaces it
 * @property bool $taken_back whether it says that the one before did not happen
 * @property string $source phone, desk or file
 * @property Carbon $written_at by the server's clock, whatever the phone's clock says
 * @property Carbon $created_at when it arrived
 * @property-read Zone $zone
 * @property-read User|null $user
 * @property-read Crop|null $crop
 * @property-read Bed|null $bed
 * @property-read Sowing|null $sowing
 * @property-read self|null $corrects
 */
#[NamesPerson('user_id')]
#[OfficeThrough('zone_id', Zone::class)]
class LogEntry extends Model
{
    use OfOffice;
    use SentOnce;

    public const SOURCES = ['phone', 'desk', 'file'];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'act' => LoggedAct::class,
        'day' => 'date',
        'told' => 'array',
        'taken_back' => 'boolean',
        'written_at' => 'datetime',
    ];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Crop, $this> */
    public function crop(): BelongsTo
    {
        return $this->belongsTo(Crop::class);
    }

    /** @return BelongsTo<Bed, $this> */
    public function bed(): BelongsTo
    {
        return $this->belongsTo(Bed::class);
    }

    /** @return BelongsTo<Sowing, $this> */
    public function sowing(): BelongsTo
    {
        return $this->belongsTo(Sowing::class);
    }

    /** @return BelongsTo<self, $this> */
    public function corrects(): BelongsTo
    {
        return $this->belongsTo(self::class, 'corrects_id');
    }

    public function toStanding(): StandingEntry
    {
        return new StandingEntry($this->act, $this->day->format('Y-m-d'), $this->told, $this->crop_id, $this->bed_id);
    }

    /** @return Builder<self> entries that count, in order of their days */
    public static function standing(Zone $zone): Builder
    {
        return self::query()
            ->where('zone_id', $zone->id)
            ->whereNull('corrected_by')
            ->where('taken_back', false)
            ->orderBy('day')
            ->orderBy('id');
    }
}
