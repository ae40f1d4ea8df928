<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Place\Place;

/**
 * Something that is asked of a place and whose answer is kept. The answer is made of the place as `of` narrows it and of the question's
 * own inputs, and of nothing else: no clock, no query. Both together are what it is kept under.
 */
interface Question
{
    public function kind(): ResultKind;

    /** @return array<array-key, mixed> what it asks beyond the place, ready for JSON */
    public function inputs(): array;

    /** @return Place without what the answer does not hang on */
    public function of(Place $place): Place;

    /**
     * @param  Place  $place  as `of` narrowed it
     * @return array<string, mixed> ready for JSON
     */
    public function answer(Place $place): array;
}
