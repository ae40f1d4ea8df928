<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\NamedLock;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * The chain of changes: each is sealed with a hash of itself and of the seal before it, so a change that was altered, removed, or inserted
 * is noticed. Changes are sealed shortly after they were made, in the order in which they are found; two people who save at once may come
 * in either order.
 */
final class ChangeChain
{
    private const AT_ONCE = 500;

    /** The parts of a change that are sealed, as stored in the database; not the person's row, which may be removed, but their number. */
    private const SEALED = [
        'id',
        'person',
        'zone_id',
        'crop',
        'act',
        'subject',
        'subject_id',
        'about',
        'version',
        'fields',
        'why',
        'created_at',
        'office_id',
    ];

    /** How many of these a seal covers, by its form. The first is from before there were several offices. */
    private const FORMS = [1 => 12, 2 => 13];

    private const FORM = 2;

    /** @return int how many were sealed; 0 if another process is doing it */
    public function seal(): int
    {
        $lock = NamedLock::take('change-chain');
        if ($lock === null) {
            return 0;
        }
        try {
            $sealed = 0;
            do {
                $open = $this->open();
                $this->sealAll($open);
                $sealed += count($open);
            } while (count($open) === self::AT_ONCE);
        } finally {
            $lock->release();
        }

        return $sealed;
    }

    /** @return list<string> in words, what is not as it was; empty if everything is */
    public function faults(): array
    {
        $faults = [];
        $before = '';
        $seals = DB::table('change_seals')
            ->leftJoin('changes', 'changes.id', '=', 'change_seals.change_id')
            ->orderBy('change_seals.id')
            ->select(['change_seals.id AS seal', 'change_seals.change_id', 'change_seals.hash', 'change_seals.form', ...self::columns()])
            ->lazy(self::AT_ONCE);
        foreach ($seals as $seal) {
            if ($seal->id === null) {
                $faults[] = "Change {$seal->change_id} is gone.";
            } elseif (self::hash($before, $seal, (int) $seal->form) !== $seal->hash) {
                $faults[] = "Change {$seal->change_id} was altered, or one before it was removed from the chain.";
            }
            $before = $seal->hash;
        }

        return $faults;
    }

    public function length(): int
    {
        return DB::table('change_seals')->count();
    }

    /** @return list<stdClass> changes without a seal */
    private function open(): array
    {
        return array_values(
            DB::table('changes')
                ->leftJoin('change_seals', 'change_seals.change_id', '=', 'changes.id')
                ->whereNull('change_seals.id')
                ->orderBy('changes.id')
                ->limit(self::AT_ONCE)
                ->get(self::columns())
                ->all(),
        );
    }

    /** @param  list<stdClass>  $changes */
    private function sealAll(array $changes): void
    {
        $before = (string) DB::table('change_seals')->orderByDesc('id')->value('hash');
        $seals = [];
        foreach ($changes as $change) {
            $before = self::hash($before, $change, self::FORM);
            $seals[] = ['change_id' => $change->id, 'hash' => $before, 'form' => self::FORM];
        }
        DB::table('change_seals')->insert($seals);
    }

    private static function hash(string $before, stdClass $change, int $form): string
    {
        $own = [];
        foreach (array_slice(self::SEALED, 0, self::FORMS[$form] ?? 0) as $column) {
            $own[] = $change->{$column} === null ? null : (string) $change->{$column};
        }

        return hash('sha256', $before.json_encode($own, JSON_THROW_ON_ERROR));
    }

    /** @return list<string> */
    private static function columns(): array
    {
        return array_map(static fn (string $column): string => "changes.{$column}", self::SEALED);
    }
}
