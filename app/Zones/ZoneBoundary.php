<?php

declare(strict_types=1);

namespace App\Zones;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A zone's boundary as it was uploaded; a zone's latest one counts.
 *
 * @property int $id
 * @property int $zone_id
 * @property array{type: string, coordinates: list<list<list<array{float, float}>>>} $geometry GeoJSON
 * @property string $author
 * @property string|null $upload key of the upload it came with; null: older than those
 * @property Carbon $created_at
 */
#[OfficeThrough('zone_id', Zone::class)]
class ZoneBoundary extends Model
{
    use OfOffice;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['geometry' => 'array'];

    /** @return array<int, Boundary> those that count, by zone */
    public static function byZone(): array
    {
        $latest = self::query()->selectRaw('max(id)')->groupBy('zone_id');

        return array_map(Boundary::saved(...), self::query()->whereIn('id', $latest)->get()->pluck('geometry', 'zone_id')->all());
    }
}
