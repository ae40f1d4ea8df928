<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** A variety of a crop: its name, its traits, and the crop with the variety's own numbers. */
final readonly class Variety
{
    /** @param  list<string>  $tags */
    public function __construct(public string $name, public array $tags, public Crop $crop)
    {
    }
}
