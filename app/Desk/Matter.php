<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Words\Phrase;
use App\Zones\Zone;
use JsonSerializable;

/** Something that needs attention. */
final readonly class Matter implements JsonSerializable
{
    /**
     * @param  string  $kind  the desk decides on which screen it is handled, and how to say that
     * @param  Zone|null  $zone  null: not about a zone
     * @param  list<Phrase>  $parts  what the sentence goes on to list
     * @param  string|null  $since  YYYY-MM-DD; null: not known
     */
    public function __construct(
        public string $kind,
        public Urgency $urgency,
        public ?Zone $zone,
        public Phrase $says,
        public array $parts = [],
        public ?string $since = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind,
            'urgency' => $this->urgency->value,
            'zone' => $this->zone?->slug,
            'says' => $this->says->toArray(),
            'parts' => array_map(static fn (Phrase $p): array => $p->toArray(), $this->parts),
            'since' => $this->since,
        ];
    }
}
