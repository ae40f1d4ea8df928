<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Support\Facades\DB;

/**
 * A row that people edit on a form. Each edit names the version it was made on, and is refused on any other.
 *
 * @property int $version
 */
trait Versioned
{
    /**
     * Locks the row, makes sure it still has that version, makes the edit, records what it changed, and increases the version.
     *
     * @param  Closure($this): mixed  $edit
     * @param  string|null  $why  in the person's words
     * @return Change|null null: nothing changed
     *
     * @throws StaleEdit if somebody else has edited the row in the meantime; nothing changes then
     */
    public function editedAt(int $version, ?User $user, Closure $edit, ?string $why = null): ?Change
    {
        return DB::transaction(function () use ($version, $user, $edit, $why): ?Change {
            self::query()->whereKey($this->getKey())->lockForUpdate()->firstOrFail();
            $this->refresh();
            if ($this->version !== $version) {
                throw new StaleEdit(Change::since($this, $version));
            }
            $before = $this->editedFields();
            $edit($this);
            $after = $this->refresh()->editedFields();
            if ($after === $before) {
                return null;
            }
            $this->forceFill(['version' => $this->version + 1])->save();

            return Change::record('edited', $this, $user, $before, $after, $why, $this->version);
        });
    }

    /** @return array<string, mixed> what people edit, by the name the form has for it */
    abstract public function editedFields(): array;
}
