<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\SoftDeletes;

/** For rows whose end can be undone for an hour; after that, `anthesis:prune` deletes them. */
trait EndsWithUndo
{
    use SoftDeletes;

    public const HOURS_TO_UNDO = 1;

    /** @return Builder<static> those that have ended, and can be brought back */
    public static function undoable(): Builder
    {
        $ended = static::query();
        $ended->onlyTrashed()->where('deleted_at', '>=', now()->subHours(self::HOURS_TO_UNDO));

        return $ended;
    }

    /** Deletes those that ended too long ago to be brought back. */
    public static function forgetEnded(): void
    {
        static::query()->onlyTrashed()->where('deleted_at', '<', now()->subHours(self::HOURS_TO_UNDO))->forceDelete();
    }
}
