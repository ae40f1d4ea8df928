<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Database\Eloquent\Model;
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

    /** A choice was made while another one was in force than the person saw; null: it was undone. */
    public static function insteadOf(?Model $held, string $field, mixed $is): self
    {
        /** @var User|null $user */
        $user = $held?->getRelationValue('user');
        $at = $held?->getAttribute('created_at');

        return new self(
            $at === null
                ? []
                : [
                    [
                        'field' => $field,
                        'was' => null,
                        'is' => $is,
                        'by' => $user->name ?? 'someone no longer here',
                        'at' => $at->toIso8601String(),
                    ],
                ],
        );
    }

    public function render(): JsonResponse
    {
        return response()->json(['message' => $this->getMessage(), 'changed' => $this->changes], 409);
    }
}
