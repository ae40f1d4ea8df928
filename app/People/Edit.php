<?php

declare(strict_types=1);

namespace App\People;

use App\Crops\Crop;
use App\Crops\Variety;
use App\Office\Office;
use App\Operations\DatedByToday;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One edit of a row: what it changed, who made it and when.
 *
 * @property int $version that the row had afterwards
 * @property array<string, array{was: mixed, is: mixed}> $fields what it changed, by name
 * @property Carbon $created_at
 * @property-read User|null $user
 *
 * @phpstan-type Change array{field: string, was: mixed, is: mixed, by: string, at: string}
 */
class Edit extends Model
{
    use DatedByToday;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['fields' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * @return list<Change> what was changed after a version, field by field; several changes of a field are told as one
     */
    public static function since(Zone|Crop|Variety|Site|Office $subject, int $version): array
    {
        $changes = [];
        $edits = self::query()->with('user')->where('subject', $subject->getTable())->where('subject_id', $subject->getKey())
            ->where('version', '>', $version)->orderBy('version')->get();
        foreach ($edits as $edit) {
            foreach ($edit->fields as $field => $change) {
                $changes[$field] = ['field' => $field, 'was' => $changes[$field]['was'] ?? $change['was'], 'is' => $change['is'],
                    'by' => $edit->user->name ?? 'someone no longer here', 'at' => $edit->created_at->toIso8601String()];
            }
        }

        return array_values($changes);
    }
}
