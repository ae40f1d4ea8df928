<?php

declare(strict_types=1);

namespace App\Crops;

use App\People\StaleEdit;
use App\People\User;

/**
 * Adds, edits and takes out varieties of a crop.
 *
 * @phpstan-type Values array{name: string, cells: array<string, string>, tags: list<string>}
 */
final class SaveVariety
{
    /** @param  Values  $values  checked */
    public function add(Crop $crop, array $values): Variety
    {
        return $crop->varieties()->create($values);
    }

    /**
     * @param  Values  $values  checked
     *
     * @throws StaleEdit when the variety was edited since that version
     */
    public function edit(Variety $variety, array $values, int $version, User $user): void
    {
        $variety->editedAt($version, $user, static fn (Variety $v): bool => $v->update($values));
    }

    public function takeOut(Variety $variety): void
    {
        $variety->delete();
    }
}
