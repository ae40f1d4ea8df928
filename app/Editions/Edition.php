<?php

declare(strict_types=1);

namespace App\Editions;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\EditionReader;
use Anthesis\Record\Day;
use App\Operations\BrokenSeal;
use App\Operations\Seal;
use App\Zones\Zone;
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
 * @property string|null $seal over all of it, with a key outside the database
 * @property Carbon|null $in_force_at null: its pages are still being made
 * @property-read Zone $zone
 */
class Edition extends Model
{
    /** All but the document itself, which is large. */
    public const TOLD = ['id', 'zone_id', 'number', 'published_on', 'published_by', 'note', 'checksum', 'in_force_at'];

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['published_on' => 'date', 'in_force_at' => 'datetime'];

    protected static function booted(): void
    {
        $refuse = static fn () => throw new LogicException('An edition never changes once it is published; publish a new one.');
        // Only that it is in force is written later, once.
        static::updating(static fn (self $e) => array_keys($e->getDirty()) === ['in_force_at'] && $e->getOriginal('in_force_at') === null ? null : $refuse());
        static::deleting($refuse);
    }

    public static function freeze(Zone $zone, int $number, Day $on, string $by, string $note, EditionDocument $document): self
    {
        $edition = new self(['zone_id' => $zone->id, 'number' => $number, 'published_on' => $on->iso(), 'published_by' => $by, 'note' => $note,
            'document' => $document->json, 'checksum' => $document->checksum]);
        $edition->seal = Seal::of(...$edition->sealedParts());
        $edition->save();

        return $edition;
    }

    public function putInForce(): void
    {
        $this->update(['in_force_at' => now()]);
    }

    /** Whether it is, word for word, what was published. */
    public function isSound(): bool
    {
        return hash_equals(hash('sha256', $this->document), $this->checksum) && Seal::holds($this->seal, ...$this->sealedParts());
    }

    /** @return list<string> */
    public function sealedParts(): array
    {
        return ['edition', (string) $this->zone_id, (string) $this->number, $this->published_on->format('Y-m-d'), $this->published_by, $this->note, $this->checksum];
    }

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /**
     * The frozen document.
     *
     * @throws BrokenSeal when it, or what is said of it, is no longer what was published
     */
    public function open(): EditionDocument
    {
        if (! $this->isSound()) {
            throw new BrokenSeal($this->zone->name, $this->number);
        }

        return EditionReader::open($this->document, $this->checksum);
    }
}
