<?php

declare(strict_types=1);

namespace App\Gardener;

/** One gardener's page before it is rendered: which component, and all it shows. */
final readonly class Page
{
    /**
     * @param  array<string, mixed>  $props
     * @param  string  $description  what search engines show of it
     * @param  string|null  $feed  address of the calendar feed that goes with it
     */
    public function __construct(public string $name, public array $props, public string $title, public string $description, public ?string $feed = null)
    {
    }

    /** @return string what the page is rendered from, as JSON */
    public function json(): string
    {
        return json_encode(['page' => $this->name, 'props' => $this->props], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
