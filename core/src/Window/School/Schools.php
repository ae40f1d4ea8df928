<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

/** The methods whose windows are computed for every crop, side by side. A new one is a class, and a line here. */
final readonly class Schools
{
    /** In the order in which they are shown. */
    private const ALL = [FromReplay::class, CountBack::class];

    /** @param  array<string, School>  $all  by key */
    private function __construct(public FromReplay $replay, public array $all)
    {
    }

    public static function on(Grounds $grounds): self
    {
        $all = [];
        foreach (self::ALL as $class) {
            $all[$class::KEY] = $class::on($grounds);
        }

        return new self($all[FromReplay::KEY], $all);
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_map(static fn (string $class): string => $class::KEY, self::ALL);
    }
}
