<?php

declare(strict_types=1);

namespace App\Windows;

use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Makes a zone's calendar follow a method for one crop, or the educator's own dates; the earlier choice is kept as undone. */
final class ChooseSchool
{
    /** The parts of a choice. */
    private const FIELDS = ['crop', 'school', 'windows'];

    /**
     * @param  array<string, list<array{first: string, last: string}>>|null  $windows  by way of growing; only with own dates
     * @param  int|null  $replaces  the choice that applied when this one was made; null: none
     *
     * @throws StaleEdit if another was made in the meantime
     */
    public function execute(
        Zone $zone,
        string $crop,
        string $school,
        ?array $windows,
        string $reason,
        ?int $replaces,
        User $user,
    ): CropChoice {
        return DB::transaction(static function () use ($zone, $crop, $school, $windows, $reason, $replaces, $user): CropChoice {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $held = CropChoice::holdingIn($zone)->where('crop', $crop)->first();
            if ($held?->id !== $replaces) {
                throw StaleEdit::insteadOf($held, 'school', $held === null ? null : "{$held->school}: {$held->reason}");
            }
            CropChoice::holdingIn($zone)
                ->where('crop', $crop)
                ->update(['undone_at' => now()]);

            $choice = CropChoice::query()->create([
                'zone_id' => $zone->id,
                'user_id' => $user->id,
                'crop' => $crop,
                'school' => $school,
                'windows' => $windows,
                'reason' => $reason,
            ]);
            Change::record('chosen', $choice, $user, $held?->only(self::FIELDS) ?? [], $choice->only(self::FIELDS), $reason);

            return $choice;
        });
    }

    /** Undoes a choice, once: the calendar follows the zone's method again. */
    public function undo(CropChoice $choice, User $user): void
    {
        DB::transaction(static function () use ($choice, $user): void {
            if (
                CropChoice::query()
                    ->whereKey($choice->id)
                    ->whereNull('undone_at')
                    ->update(['undone_at' => now()]) === 1
            ) {
                Change::record('undone', $choice, $user, $choice->only(self::FIELDS));
            }
        });
    }
}
