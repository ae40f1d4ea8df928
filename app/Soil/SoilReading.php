<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Record\Day;
use Anthesis\Soil\ProbeReading;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\People\NamesPerson;
use App\People\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A soil reading at a spot. It never changes: a wrong one is withdrawn, and another is taken.
 *
 * @property int $id
 * @property int $soil_spot_id
 * @property int|null $user_id
 * @property string $idempotency_key a key of the sender's: sent twice, it is saved once
 * @property Carbon $day
 * @property float $hour local, 0…24
 * @property float $depth m
 * @property float $celsius
 * @property float|null $within half the 90% interval of a fitted one, °C
 * @property list<array{float, float}> $figures seconds and °C, as they were read; empty if a single settled figure was typed
 * @property string $source
 * @property Carbon|null $withdrawn_at
 * @property int|null $withdrawn_by
 * @property-read User|null $user
 * @property-read SoilSpot $spot
 */
#[NamesPerson('user_id', 'withdrawn_by')]
#[OfficeThrough('soil_spot_id', SoilSpot::class)]
class SoilReading extends Model
{
    use OfOffice;
    use SentOnce;

    /** One figure, typed after it settled. */
    public const TYPED = 'typed';

    /** Figures as they moved, typed with the timer. */
    public const TIMER = 'timer';

    /** From the simulated probe. */
    public const SIMULATED = 'simulated';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'day' => 'date',
        'hour' => 'float',
        'depth' => 'float',
        'celsius' => 'float',
        'within' => 'float',
        'figures' => 'array',
        'withdrawn_at' => 'datetime',
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<SoilSpot, $this> */
    public function spot(): BelongsTo
    {
        return $this->belongsTo(SoilSpot::class, 'soil_spot_id');
    }

    public function toCore(): ProbeReading
    {
        return new ProbeReading(Day::fromIso($this->day->format('Y-m-d')), $this->hour, $this->celsius, $this->depth);
    }
}
