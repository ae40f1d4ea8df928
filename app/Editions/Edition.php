<?php

declare(strict_types=1);

namespace App\Editions;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\EditionReader;
use Anthesis\Record\Day;
use App\Operations\BrokenSeal;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\Seal;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * A published calendar. It never changes; corrections are new editions. Only its later life is written down, each event once: that it was
 * signed, is current, or was withdrawn.
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
 * @property Carbon|null $in_force_at null: it is waiting, or its pages are still being made
 * @property Carbon|null $in_force_from the date it is waiting for; null: none
 * @property bool $needs_signature by another educator than the one who published it
 * @property string|null $signed_by
 * @property Carbon|null $signed_at
 * @property bool $standing false once it is withdrawn
 * @property Carbon|null $withdrawn_on for one that never was current: taken back
 * @property string|null $withdrawn_by
 * @property string|null $withdrawn_why
 * @property-read Zone $zone
 */
#[OfficeThrough('zone_id', Zone::class)]
class Edition extends Model
{
    use OfOffice;

    /** Everything but the document itself, which is large. */
    public const TOLD = [
        'id',
        'zone_id',
        'number',
        'published_on',
        'published_by',
        'note',
        'checksum',
        'in_force_at',
        ...self::LIFE,
        'in_force_from',
        'needs_signature',
    ];

    /** What is written after it was frozen. */
    private const LIFE = ['in_force_at', 'signed_by', 'signed_at', 'standing', 'withdrawn_on', 'withdrawn_by', 'withdrawn_why'];

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'published_on' => 'date',
        'in_force_at' => 'datetime',
        'in_force_from' => 'date',
        'needs_signature' => 'boolean',
        'standing' => 'boolean',
        'signed_at' => 'datetime',
        'withdrawn_on' => 'date',
    ];

    protected static function booted(): void
    {
        $refuse = static fn () => throw new LogicException('An edition never changes once it is published; publish a new one.');
        static::updating(static function (self $edition) use ($refuse): void {
            foreach (array_keys($edition->getDirty()) as $field) {
                if (! in_array($field, self::LIFE, true) || ! in_array($edition->getOriginal($field), [null, true], true)) {
                    $refuse();
                }
            }
        });
        static::deleting($refuse);
    }

    /** @param  Day|null  $from  the date it waits for; null: none */
    public static function freeze(
        Zone $zone,
        int $number,
        Day $on,
        string $by,
        string $note,
        EditionDocument $document,
        ?Day $from = null,
        bool $needsSignature = false,
    ): self {
        $edition = new self([
            'zone_id' => $zone->id,
            'number' => $number,
            'published_on' => $on->iso(),
            'published_by' => $by,
            'note' => $note,
            'document' => $document->json,
            'checksum' => $document->checksum,
            'in_force_from' => $from?->iso(),
            'needs_signature' => $needsSignature,
        ]);
        $edition->seal = Seal::of(...$edition->sealedParts());
        $edition->save();

        return $edition;
    }

    public function putInForce(): void
    {
        $this->update(['in_force_at' => now()]);
    }

    /** Whether, on a day, it is waiting for its second signature or for another date. */
    public function isWaiting(Day $today): bool
    {
        return $this->in_force_at === null &&
            $this->withdrawn_on === null &&
            (($this->needs_signature && $this->signed_at === null) ||
                ($this->in_force_from !== null && $this->in_force_from->format('Y-m-d') > $today->iso()));
    }

    /** @return array{on: string, reason: string}|null what its pages say above everything else, once it is withdrawn */
    public function notice(): ?array
    {
        return $this->withdrawn_on === null
            ? null
            : ['on' => $this->withdrawn_on->format('Y-m-d'), 'reason' => (string) $this->withdrawn_why];
    }

    /** Whether it is exactly what was published. */
    public function isSound(): bool
    {
        return hash_equals(hash('sha256', $this->document), $this->checksum) && Seal::holds($this->seal, ...$this->sealedParts());
    }

    /** @return list<string> */
    public function sealedParts(): array
    {
        return [
            'edition',
            (string) $this->zone_id,
            (string) $this->number,
            $this->published_on->format('Y-m-d'),
            $this->published_by,
            $this->note,
            $this->checksum,
        ];
    }

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /**
     * The frozen document.
     *
     * @throws BrokenSeal if it, or what is said about it, is no longer what was published
     */
    public function open(): EditionDocument
    {
        if (! $this->isSound()) {
            throw new BrokenSeal($this->zone->name, $this->number);
        }

        return EditionReader::open($this->document, $this->checksum)->withNotice($this->notice());
    }
}
