<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\DatedByToday;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * Something that a person changed, or a station by itself, and that a date or a right hangs on: who, when, what, from what to what, and
 * why. It is written by the action that makes the change, in its transaction, and never edited: a change that is undone is another one.
 *
 * @property int $id
 * @property int|null $zone_id null: of every zone, or of none
 * @property string $act what was done: `edited`, `added`, `removed`, `chosen`, `undone` …
 * @property string $subject table of the row
 * @property int $subject_id
 * @property int|null $version that the row had afterwards; null: it has none
 * @property array<string, array{was: mixed, is: mixed}> $fields what it changed, by name
 * @property string|null $why in the person's words
 * @property Carbon $created_at
 * @property-read User|null $user
 *
 * @phpstan-type Told array{field: string, was: mixed, is: mixed, by: string, at: string}
 */
class Change extends Model
{
    use DatedByToday;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['fields' => 'array'];

    protected static function booted(): void
    {
        static::updating(static fn () => throw new LogicException('What was changed is not changed again: write another change.'));
        static::deleting(static fn () => throw new LogicException('What was changed stays on record.'));
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
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
            'zone_id' => self::zoneOf($of),
            'user_id' => $user?->id,
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
        $columns = $row->getAttributes();

        return $row->getTable() === 'zones' ? (int) $row->getKey() : (isset($columns['zone_id']) ? (int) $columns['zone_id'] : null);
    }
}
