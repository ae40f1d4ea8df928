<?php

declare(strict_types=1);

namespace App\Stations;

use App\Operations\EndsWithUndo;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A device that may report for a station.
 *
 * @property int $id
 * @property int $station_id
 * @property string $name
 * @property string $token_hash SHA-256 of its token, which is not stored
 * @property Carbon|null $reported_at
 * @property Carbon|null $deleted_at when it was disconnected
 * @property-read Station $station
 */
#[OfficeThrough('station_id', Station::class)]
class StationDevice extends Model
{
    use EndsWithUndo;
    use OfOffice;

    protected $guarded = [];

    protected $hidden = ['token_hash'];

    /** @var array<string, string> */
    protected $casts = ['reported_at' => 'datetime'];

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** @return self|null the device a token belongs to */
    public static function bearing(?string $token): ?self
    {
        return $token === null || $token === ''
            ? null
            : self::query()->with('station.zone', 'station.record')->where('token_hash', hash('sha256', $token))->first();
    }
}
