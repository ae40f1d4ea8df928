<?php

declare(strict_types=1);

namespace App\Ground;

use App\Crops\Crop;
use App\Log\Bed;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\People\NamesPerson;
use App\People\Versioned;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What is planned for a bed. One that was deleted stays in the table, so it can be restored.
 *
 * @property int $id
 * @property string $idempotency_key a key of the sender's
 * @property int $zone_id
 * @property int $bed_id
 * @property int $crop_id
 * @property string|null $variety
 * @property string $route
 * @property Carbon $day day of sowing or transplanting
 * @property float $metres length of the bed
 * @property string|null $between key of the stay whose rows it grows between; null: it has its own space
 * @property bool $pinned whether it is locked when a season is planned again
 * @property bool $spares whether seedlings are raised beside it, in case the sowing fails
 * @property Carbon|null $removed_at
 * @property-read Crop $crop
 * @property-read Bed $bed
 */
#[NamesPerson('user_id')]
#[OfficeThrough('zone_id', Zone::class)]
class Planting extends Model
{
    use OfOffice;
    use SentOnce;
    use Versioned;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'day' => 'date',
        'metres' => 'float',
        'pinned' => 'boolean',
        'spares' => 'boolean',
        'removed_at' => 'datetime',
        'version' => 'integer',
    ];

    /** @return array<string, mixed> */
    public function editedFields(): array
    {
        return [
            'bed' => $this->bed()->value('name'),
            'day' => $this->day->format('Y-m-d'),
            'metres' => $this->metres,
            'pinned' => $this->pinned,
            'spares' => $this->spares,
            'between' => $this->between,
            'removed' => $this->removed_at !== null,
        ];
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
}
