<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Tables\CsvText;
use Illuminate\Database\Eloquent\Builder;

/** The log as a table with one row per entry; LogTable reads what this writes. */
final class LogCsv
{
    public const COLUMNS = [
        'on',
        'act',
        'crop',
        'variety',
        'garden',
        'bed',
        'under_cover',
        'lot',
        'metres',
        'plants',
        'kilograms',
        'stems',
        'quality',
        'cause',
        'celsius',
        'depth',
        'hour',
        'mm',
        'plant',
        'stage',
        'text',
    ];

    /** Columns that describe an entry and are not read back. */
    private const BESIDE = ['zone', 'by', 'written_at', 'source', 'state', 'key'];

    private const AT_A_TIME = 500;

    /** @param  Builder<LogEntry>  $lines */
    public static function write(Builder $lines): void
    {
        $out = fopen('php://output', 'w');
        if ($out === false) {
            return;
        }
        CsvText::write($out, [[...self::COLUMNS, ...self::BESIDE]]);
        $plants = CuePlant::query()->get()->keyBy('id')->all();
        $lines
            ->with('zone')
            ->lazy(self::AT_A_TIME)
            ->each(static function (LogEntry $entry) use ($out, $plants): void {
                CsvText::write($out, [self::row($entry, $plants)]);
            });
        fclose($out);
    }

    /**
     * @param  array<int, CuePlant>  $plants  by id
     * @return list<string|int|float|null>
     */
    private static function row(LogEntry $entry, array $plants): array
    {
        $own =
            [
                'on' => $entry->day->format('Y-m-d'),
                'act' => $entry->act->value,
                'crop' => $entry->crop?->slug,
                'garden' => $entry->bed?->garden,
                'bed' => $entry->bed?->name,
                'under_cover' => ($entry->told['under_cover'] ?? false) === true ? 'yes' : null,
                'plant' => $plants[$entry->told['cue'] ?? 0]->name ?? null,
                'stage' => $plants[$entry->told['cue'] ?? 0]->stage ?? null,
            ] + $entry->told;
        $state = match (true) {
            $entry->taken_back => 'taken back',
            $entry->corrected_by !== null => 'corrected',
            default => null,
        };

        return [
            ...array_map(static fn (string $column): string|int|float|null => $own[$column] ?? null, self::COLUMNS),
            $entry->zone->slug,
            $entry->user?->name,
            $entry->written_at->toIso8601String(),
            $entry->source,
            $state,
            $entry->idempotency_key,
        ];
    }
}
