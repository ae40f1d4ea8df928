<?php

declare(strict_types=1);

namespace App\Models;

use Anthesis\Calendar\EditionDocument;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * A published calendar. It never changes; corrections are new editions.
 *
 * @property int $id
 * @property int $zone_id
 * @property int $number
 * @property Carbon $published_on
 * @property string $published_by
 * @property string $note
 * @property string $document
 * @property string $checksum
 * @property-read Zone $zone
 */
class Edition extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['published_on' => 'date'];

    protected static function booted(): void
    {
        $refuse = static fn () => throw new LogicException('An edition never changes once it is published; publish a new one.');
        static::updating($refuse);
        static::deleting($refuse);
    }

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** The frozen document; throws when its text is no longer what was published. */
    public function open(): EditionDocument
    {
        return EditionDocument::fromJson($this->document, $this->checksum);
    }
}
