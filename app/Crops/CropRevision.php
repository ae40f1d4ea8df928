<?php

declare(strict_types=1);

namespace App\Crops;

use App\Operations\DatedByToday;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\NamesPerson;
use App\People\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A crop as it was before a change, who changed it and why.
 *
 * @property int $id
 * @property int $crop_id
 * @property array<string, string> $cells
 * @property string $note
 * @property Carbon $created_at
 * @property-read User|null $user
 */
#[NamesPerson('user_id')]
#[OfficeThrough('crop_id', Crop::class)]
class CropRevision extends Model
{
    use DatedByToday;
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['cells' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
