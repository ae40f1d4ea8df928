<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\JsonResponse;
use RuntimeException;

/**
 * An edit of something that somebody else has changed in the meantime.
 *
 * @phpstan-import-type Told from Change
 */
final class StaleEdit extends RuntimeException
{
    /** @param  list<Told>  $changes  since the version the edit was made on */
    public function __construct(public readonly array $changes)
    {
        $who = array_values(array_unique(array_column($changes, 'by')));
        parent::__construct(
            ($who === [] ? 'This was changed' : implode(' and ', $who).' changed this').
                ' meanwhile. Nothing was saved. Look at what changed, then save again.',
        );
    }

    public function render(): JsonResponse
    {
        return response()->json(['message' => $this->getMessage(), 'changed' => $this->changes], 409);
    }
}
