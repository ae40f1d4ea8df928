<?php

declare(strict_types=1);

namespace App\Stations;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\NamesPerson;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A value of a day already on record that a device reports differently. It changes nothing until somebody decides to use it.
 *
 * @property int $id
 * @property int $station_id
 * @property string $device the device's name
 * @property Carbon $day
 * @property string $element an Element
 * @property float $was on record when it was reported, °C
 * @property float $value as reported, °C
 * @property bool|null $used null: nobody has decided
 * @property Carbon|null $decided_at
 * @property-read Station $station
 */
#[NamesPerson('decided_by')]
#[OfficeThrough('station_id', Station::class)]
class ReportedCorrection extends Model
{
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['day' => 'date', 'was' => 'float', 'value' => 'float', 'used' => 'boolean', 'decided_at' => 'datetime'];

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }
}
