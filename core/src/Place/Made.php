<?php

declare(strict_types=1);

namespace Anthesis\Place;

use Closure;

/** Objects made from a place, shared by the places it is narrowed to. */
final class Made
{
    /** @var array<string, object> by key */
    private array $objects = [];

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  Closure(): T  $make
     * @return T
     */
    public function once(string $key, string $class, Closure $make): object
    {
        $object = $this->objects[$key] ??= $make();
        assert($object instanceof $class);

        return $object;
    }
}
