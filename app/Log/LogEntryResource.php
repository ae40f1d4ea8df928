<?php

declare(strict_types=1);

namespace App\Log;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin LogEntry */
class LogEntryResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return self::line($this->resource) + [
            'cursor' => $this->day->format('Y-m-d').".{$this->id}",
            'corrects' => $this->corrects === null ? null : self::line($this->corrects),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(LogEntry $entry): array
    {
        return [
            'key' => $entry->idempotency_key,
            'act' => $entry->act->value,
            'on' => $entry->day->format('Y-m-d'),
            'crop' => $entry->crop_id === null ? null : $entry->crop?->slug,
            'name' => $entry->crop_id === null ? null : $entry->crop?->cells['name'],
            'bed' => $entry->bed?->told(),
            'sowing' => $entry->sowing?->idempotency_key,
            'told' => (object) $entry->told,
            'photo' => $entry->photo === null ? null : route('log-photo', ['photo' => $entry->photo], false),
            'author' => $entry->user?->name,
            'source' => $entry->source,
            'written_at' => $entry->written_at->toIso8601String(),
            'taken_back' => $entry->taken_back,
        ];
    }
}
