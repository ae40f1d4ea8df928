<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** A variety of a crop: its name, what it is told apart by, and the crop with the variety's own numbers. */
final readonly class Variety
{
    /** @param  list<string>  $tags */
    public function __construct(public string $name, public array $tags, public Crop $crop)
    {
    }
}
