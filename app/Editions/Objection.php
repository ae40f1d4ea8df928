<?php

declare(strict_types=1);

namespace App\Editions;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A comment from somebody at the desk on a crop in a draft, and an educator's answer. Once the draft is published, it stays with the
 * edition.
 *
 * @property int $id
 * @property int $zone_id
 * @property string $idempotency_key
 * @property string $crop
 * @property string $text
 * @property string $author
 * @property string|null $answer
 * @property string|null $answered_by
 * @property Carbon|null $answered_at
 * @property int|null $edition_id null: on the draft
 * @property-read Zone $zone
 */
#[OfficeThrough('zone_id', Zone::class)]
class Objection extends Model
{
    use OfOffice;
    use SentOnce;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['answered_at' => 'datetime'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return Builder<self> those on the draft of a zone, oldest first */
    public static function toDraftOf(Zone $zone): Builder
    {
        $objections = self::query();
        $objections->where('zone_id', $zone->id)->whereNull('edition_id')->orderBy('id');

        return $objections;
    }
}
