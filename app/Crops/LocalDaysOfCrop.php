<?php

declare(strict_types=1);

namespace App\Crops;

use App\Operations\DatedByToday;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\NamesPerson;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Local days to maturity that an educator adopted for a crop, or one of its varieties, in a zone, with the evidence at the time. Those that
 * were undone stay, with their date.
 *
 * @property int $id
 * @property int $zone_id
 * @property int $crop_id
 * @property int|null $user_id
 * @property string|null $variety null: the crop itself
 * @property string $route
 * @property float $packet_days the crop's own at the time
 * @property float $days
 * @property int $sowings they are based on
 * @property float|null $error_before
 * @property float|null $error_after
 * @property Carbon|null $undone_at
 * @property int|null $undone_by
 * @property Carbon $created_at
 * @property-read Crop $crop
 * @property-read User|null $user
 */
#[NamesPerson('user_id', 'undone_by')]
#[OfficeThrough('zone_id', Zone::class)]
class LocalDaysOfCrop extends Model
{
    use DatedByToday;
    use OfOffice;

    protected $table = 'local_days';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'packet_days' => 'float',
        'days' => 'float',
        'error_before' => 'float',
        'error_after' => 'float',
        'undone_at' => 'datetime',
    ];

    /** @return BelongsTo<Crop, $this> */
    public function crop(): BelongsTo
    {
        return $this->belongsTo(Crop::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return Builder<self> those that apply, latest last */
    public static function holdingIn(Zone $zone): Builder
    {
        return self::query()->where('zone_id', $zone->id)->whereNull('undone_at')->orderBy('id');
    }
}
