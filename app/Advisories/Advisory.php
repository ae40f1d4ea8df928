<?php

declare(strict_types=1);

namespace App\Advisories;

use Anthesis\Record\Day;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What gardeners of a zone are told about this season, until a day. What was published stays as it was: it is withdrawn, with the reason,
 * and another one is published.
 *
 * @property int $id
 * @property int $zone_id
 * @property string $idempotency_key
 * @property string|null $ground key of the draft it was made from; null: the educator's own
 * @property string $text
 * @property list<array<string, mixed>> $evidence phrases
 * @property string $author
 * @property Carbon $published_on
 * @property Carbon $until the last day it is shown on
 * @property Carbon|null $withdrawn_on
 * @property string|null $withdrawn_by
 * @property string|null $withdrawn_why
 * @property-read Zone $zone
 */
#[OfficeThrough('zone_id', Zone::class)]
class Advisory extends Model
{
    use OfOffice;
    use SentOnce;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['evidence' => 'array', 'published_on' => 'date', 'until' => 'date', 'withdrawn_on' => 'date'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return Builder<self> those the pages of a zone show on a day, including withdrawn ones, newest first */
    public static function shown(Zone $zone, Day $day): Builder
    {
        $advisories = self::query();
        $advisories->where('zone_id', $zone->id)->where('until', '>=', $day->iso())->orderByDesc('id');

        return $advisories;
    }

    public function isInForce(Day $day): bool
    {
        return $this->withdrawn_on === null && $this->until->format('Y-m-d') >= $day->iso();
    }

    /** @return list<string> what people wrote in it, for translators */
    public function texts(): array
    {
        return array_values(array_filter([$this->text, $this->withdrawn_why]));
    }

    /** @return array{text: string, published_on: string, until: string, author: string, evidence: list<array<string, mixed>>, withdrawn: array{on: string, by: string, reason: string}|null} as told */
    public function told(): array
    {
        return [
            'text' => $this->text,
            'evidence' => $this->evidence,
            'author' => $this->author,
            'published_on' => $this->published_on->format('Y-m-d'),
            'until' => $this->until->format('Y-m-d'),
            'withdrawn' => $this->withdrawn_on === null
                    ? null
                    : [
                        'on' => $this->withdrawn_on->format('Y-m-d'),
                        'by' => (string) $this->withdrawn_by,
                        'reason' => (string) $this->withdrawn_why,
                    ],
        ];
    }
}
