<?php

declare(strict_types=1);

namespace Anthesis\Publishing;

/** What a reader wants in a calendar feed. */
final readonly class FeedChoice
{
    /**
     * @param  list<string>|null  $crops  slugs; null: all
     * @param  bool  $short  single days (the first to act, the last chance, the first harvest) instead of whole windows
     */
    public function __construct(public ?array $crops = null, public bool $short = false)
    {
    }

    public function has(string $crop): bool
    {
        return $this->crops === null || in_array($crop, $this->crops, true);
    }
}
