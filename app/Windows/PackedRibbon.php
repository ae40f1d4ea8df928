<?php

declare(strict_types=1);

namespace App\Windows;

/**
 * An outcome ribbon as text, at a quarter of its size as numbers, because a zone's windows contain more than a hundred. `unpacked()` in
 * resources/js/charts/packed.ts reads it.
 *
 * Each outcome is a text of runs: how many years, in `width` digits, and for how many sow days, in one digit. Digits are those of
 * base64url, from "A" for 0 to "_" for 63; a longer run becomes several. An outcome's runs add up to 365 days.
 */
final class PackedRibbon
{
    private const DIGITS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';

    private const BASE = 64;

    /**
     * @param  array{years: int, outcomes: array<string, list<int>>, ...}  $ribbon
     * @return array{years: int, width: int, outcomes: array<string, string>}
     */
    public static function of(array $ribbon): array
    {
        $most = max([0, ...array_map(static fn (array $counts): int => max([0, ...$counts]), array_values($ribbon['outcomes']))]);
        $width = $most < self::BASE ? 1 : 2;

        return [
            'years' => $ribbon['years'],
            'width' => $width,
            'outcomes' => array_map(static fn (array $counts): string => self::runs($counts, $width), $ribbon['outcomes']),
        ];
    }

    /** @param  list<int>  $counts */
    private static function runs(array $counts, int $width): string
    {
        $text = '';
        $days = 0;
        foreach ($counts as $i => $count) {
            $days++;
            if (($counts[$i + 1] ?? null) !== $count || $days === self::BASE - 1) {
                $text .=
                    ($width === 2 ? self::DIGITS[intdiv($count, self::BASE)] : '').
                    self::DIGITS[$count % self::BASE].
                    self::DIGITS[$days];
                $days = 0;
            }
        }

        return $text;
    }
}
