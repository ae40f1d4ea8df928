<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\QualityDecision;
use App\Operations\DatedByToday;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\NamesPerson;
use App\People\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What somebody decided about one value of a station, and why.
 *
 * @property int $id
 * @property int $station_id
 * @property Carbon $day
 * @property string $element
 * @property bool $accepted
 * @property string $note
 * @property Carbon|null $undone_at
 * @property Carbon $created_at
 * @property-read User|null $user
 * @property-read Station $station
 */
#[NamesPerson('user_id')]
#[OfficeThrough('station_id', Station::class)]
class StationDecision extends Model
{
    use DatedByToday;
    use OfOffice;

    protected $table = 'quality_decisions';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['day' => 'date', 'accepted' => 'boolean', 'undone_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    public function toCore(): QualityDecision
    {
        return new QualityDecision(Day::fromIso($this->day->format('Y-m-d')), Element::from($this->element), $this->accepted);
    }
}
