<?php

declare(strict_types=1);

namespace App\Trials;

use App\Crops\Crop;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\People\NamesPerson;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/**
 * A trial: waves and varieties side by side, and their results.
 *
 * @property int $id
 * @property string $idempotency_key a key of the sender's
 * @property int $zone_id
 * @property int $crop_id
 * @property int|null $user_id
 * @property string $route
 * @property string $measured_in kilograms or stems
 * @property string $question
 * @property string|null $conclusion the sentence it was closed with
 * @property Carbon|null $closed_on
 * @property string|null $closed_by
 * @property-read Zone $zone
 * @property-read Crop $crop
 * @property-read User|null $user
 * @property-read Collection<int, TrialPlot> $plots
 */
#[NamesPerson('user_id')]
#[OfficeThrough('zone_id', Zone::class)]
class Trial extends Model
{
    use OfOffice;
    use SentOnce;

    public const MEASURES = ['kilograms', 'stems'];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['closed_on' => 'date'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

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

    /** @return HasMany<TrialPlot, $this> */
    public function plots(): HasMany
    {
        return $this->hasMany(TrialPlot::class)->orderBy('planned_on')->orderBy('id');
    }
}
