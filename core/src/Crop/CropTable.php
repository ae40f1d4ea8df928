<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use InvalidArgumentException;

/** The crops of a calendar, in the order of their table. */
final readonly class CropTable
{
    /** @var array<string, Crop> by slug */
    private array $bySlug;

    /**
     * @param  list<Crop>  $crops
     *
     * @throws InvalidArgumentException if two crops share a slug
     */
    public function __construct(public array $crops)
    {
        $bySlug = [];
        foreach ($crops as $crop) {
            if (isset($bySlug[$crop->slug])) {
                throw new InvalidArgumentException("The crop “{$crop->slug}” stands in the table twice.");
            }
            $bySlug[$crop->slug] = $crop;
        }
        $this->bySlug = $bySlug;
    }

    public function find(string $slug): ?Crop
    {
        return $this->bySlug[$slug] ?? null;
    }
}
