<?php

declare(strict_types=1);

namespace App\People;

use App\Office\Office;
use App\Operations\DatedByToday;
use App\Operations\OfficeInUse;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * A change that a person made, or a station on its own, and that affects a date or a right: who, when, what, from what to what, and why.
 * The action that makes the change writes it, in its transaction, and it is never edited: an undo is another change.
 *
 * @property int $id
 * @property int|null $person number of the person who did it, which stays when they are removed; null: a station, or the command line
 * @property int|null $office_id null: not of an office
 * @property int|null $zone_id null: of every zone, or of none
 * @property string|null $crop slug; null: not about a crop
 * @property string $act what was done: `edited`, `added`, `removed`, `chosen`, `undone` …
 * @property string $subject table of the row
 * @property int $subject_id
 * @property string|null $about the name of the row at the time; null: none
 * @property int|null $version of the row after the change; null: it has none
 * @property array<string, array{was: mixed, is: mixed}> $fields what it changed, by name
 * @property string|null $why in the person's words
 * @property Carbon $created_at
 * @property-read User|null $user
 * @property-read Office|null $office
 * @property-read Zone|null $zone
 * @property-read ChangeSeal|null $seal
 *
 * @phpstan-type Told array{field: string, was: mixed, is: mixed, by: string, at: string}
 */
#[NamesPerson('user_id')]
class Change extends Model
{
    use DatedByToday;
    use OfOffice;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['fields' => 'array'];

    protected static function booted(): void
    {
        static::updating(static fn () => throw new LogicException('A recorded change cannot be edited. Record another change.'));
        static::deleting(static fn () => throw new LogicException('Recorded changes cannot be deleted.'));
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Office, $this> */
    public function office(): BelongsTo
    {
        return $this->belongsTo(Office::class);
    }

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return HasOne<ChangeSeal, $this> none until it is sealed */
    public function seal(): HasOne
    {
        return $this->hasOne(ChangeSeal::class);
    }

    /** @return string|null name of the person who did it; null: a station on its own, the command line, or somebody no longer here */
    public function by(): ?string
    {
        return $this->user?->name;
    }

    /**
     * @param  string  $act  as above
     * @param  array<string, mixed>  $was  of the row, by field; what stays the same is left out
     * @param  array<string, mixed>  $is  of the row, by field
     * @param  string|null  $why  in the person's words
     */
    public static function record(
        string $act,
        Model $of,
        ?User $user,
        array $was = [],
        array $is = [],
        ?string $why = null,
        ?int $version = null,
    ): self {
        $fields = [];
        foreach ($was + $is as $field => $value) {
            if (($was[$field] ?? null) !== ($is[$field] ?? null)) {
                $fields[$field] = ['was' => $was[$field] ?? null, 'is' => $is[$field] ?? null];
            }
        }

        return self::query()->create([
            'act' => $act,
            'subject' => $of->getTable(),
            'subject_id' => $of->getKey(),
            'about' => self::nameOf($of),
            'zone_id' => self::zoneOf($of),
            'office_id' => self::officeOf($of),
            'crop' => self::cropOf($of),
            'user_id' => $user?->id,
            'person' => $user?->id,
            'fields' => $fields,
            'why' => $why,
            'version' => $version,
        ]);
    }

    /** @return list<Told> what was changed of a row after a version, field by field; several changes of a field are told as one */
    public static function since(Model $of, int $version): array
    {
        $changes = [];
        foreach (
            self::query()
                ->with('user')
                ->where('subject', $of->getTable())
                ->where('subject_id', $of->getKey())
                ->where('version', '>', $version)
                ->orderBy('version')
                ->get() as $change
        ) {
            foreach ($change->fields as $field => $values) {
                $changes[$field] = [
                    'field' => $field,
                    'was' => $changes[$field]['was'] ?? $values['was'],
                    'is' => $values['is'],
                    'by' => $change->user->name ?? 'someone no longer here',
                    'at' => $change->created_at->toIso8601String(),
                ];
            }
        }

        return array_values($changes);
    }

    private static function zoneOf(Model $row): ?int
    {
        if ($row->getTable() === 'zones') {
            return (int) $row->getKey();
        }
        $own = $row->getAttributes()['zone_id'] ?? null;
        if ($own !== null) {
            return (int) $own;
        }
        $through = OfficeThrough::of($row::class);
        $above = $through?->model::query()->find($row->getAttribute($through->column));

        return $above === null ? null : self::zoneOf($above);
    }

    /** Of the row's zone, otherwise of the row, otherwise the one in use: what a job or a command changes is some office's too. */
    private static function officeOf(Model $row): ?int
    {
        $zone = self::zoneOf($row);

        return match (true) {
            $zone !== null => (int) Zone::query()->whereKey($zone)->value('office_id'),
            isset($row->getAttributes()['office_id']) => (int) $row->getAttributes()['office_id'],
            $row->getTable() === 'offices' => (int) $row->getKey(),
            default => OfficeInUse::id() ?? ($row instanceof User ? $row->membership()->value('office_id') : OfficeInUse::only()),
        };
    }

    /** @return string|null slug of the crop that a row is, or is of */
    private static function cropOf(Model $row): ?string
    {
        $columns = $row->getAttributes();

        return match (true) {
            $row->getTable() === 'crops' => $columns['slug'],
            is_string($columns['crop'] ?? null) => $columns['crop'],
            isset($columns['crop_id']) => $row->getRelationValue('crop')?->getAttribute('slug'),
            default => null,
        };
    }

    /** What people call the row: by its name, or an edition by its number; a crop is called by its own name wherever it is shown. */
    private static function nameOf(Model $row): ?string
    {
        $name = $row->getAttributes()['name'] ?? ($row->getAttributes()['number'] ?? null);

        return $name === null ? null : mb_substr((string) $name, 0, 200);
    }
}
