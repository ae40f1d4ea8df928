<?php

declare(strict_types=1);

namespace App\Gardener;

/** One public page before it is rendered: which component, everything it shows, and in which reading. */
final readonly class Page
{
    /**
     * @param  string|null  $path  its address without the reading; null if it has none
     * @param  array<string, mixed>  $props
     * @param  string  $description  what search engines show about it
     * @param  string|null  $feed  address of the calendar feed that goes with it
     * @param  array<string, string>  $own  translations of what people wrote, by their text
     * @param  list<string>|null  $languages  it is available in; null: all there are
     */
    public function __construct(
        public string $name,
        public ?string $path,
        public array $props,
        public string $title,
        public string $description,
        public ?string $feed = null,
        public Reading $reading = new Reading(),
        public array $own = [],
        public ?array $languages = null,
    ) {
    }

    /** @return string what the page is rendered from, as JSON */
    public function json(): string
    {
        return json_encode(
            ['page' => $this->name, 'path' => $this->path, 'props' => $this->props],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @return array<string, string> addresses of the same page in every reading, by language; metric ones, which a search engine lists */
    public function alternates(): array
    {
        $addresses = [];
        foreach ($this->path === null ? [] : Reading::in($this->languages) as $reading) {
            $addresses[$reading->language] ??= url(self::address($reading, $this->path));
        }

        return $addresses;
    }

    public static function address(Reading $reading, string $path): string
    {
        return $path === '/' ? ($reading->prefix() ?: '/') : $reading->prefix().$path;
    }
}
