<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Place\Place;

/**
 * A question about a place whose answer is kept. The answer is made from the place as `of` narrows it and from the question's own inputs,
 * and from nothing else: no clock, no query. Both together are its key.
 */
interface Question
{
    public function kind(): ResultKind;

    /** @return array<array-key, mixed> what it asks beyond the place, ready for JSON */
    public function inputs(): array;

    /** @return Place without what the answer does not depend on */
    public function of(Place $place): Place;

    /**
     * @param  Place  $place  as `of` narrowed it
     * @return array<string, mixed> ready for JSON
     */
    public function answer(Place $place): array;
}
