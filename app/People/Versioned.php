<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Support\Facades\DB;

/**
 * A row that people edit on a form: each edit names the version it was made on, and is refused on any other.
 *
 * @property int $version
 */
trait Versioned
{
    /**
     * Locks the row, makes sure it is still at the version, makes the edit, notes what it changed and counts the version on.
     *
     * @template T
     *
     * @param  Closure($this): T  $edit
     * @return T what the edit gave back
     *
     * @throws StaleEdit when somebody else has edited the row meanwhile; nothing is changed then
     */
    public function editedAt(int $version, ?User $user, Closure $edit): mixed
    {
        return DB::transaction(function () use ($version, $user, $edit): mixed {
            self::query()->whereKey($this->getKey())->lockForUpdate()->firstOrFail();
            $this->refresh();
            if ($this->version !== $version) {
                throw new StaleEdit(Edit::since($this, $version));
            }
            $before = $this->editedFields();
            $result = $edit($this);
            $changes = [];
            foreach ($this->refresh()->editedFields() as $field => $value) {
                if ($value !== ($before[$field] ?? null)) {
                    $changes[$field] = ['was' => $before[$field] ?? null, 'is' => $value];
                }
            }
            if ($changes !== []) {
                $this->forceFill(['version' => $this->version + 1])->save();
                Edit::query()->create(['subject' => $this->getTable(), 'subject_id' => $this->getKey(), 'version' => $this->version,
                    'user_id' => $user?->id, 'fields' => $changes]);
            }

            return $result;
        });
    }

    /** @return array<string, mixed> what people edit of it, by the name a form has for it */
    abstract public function editedFields(): array;
}
