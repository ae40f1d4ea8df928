<?php

declare(strict_types=1);

namespace Tests\Attack;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Bad input by seed: the same seed gives the same requests. */
final class Hostile
{
    private readonly Randomizer $random;

    public function __construct(public readonly int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function below(int $n): int
    {
        return $this->random->getInt(0, $n - 1);
    }

    /**
     * @template T
     *
     * @param  non-empty-array<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return array_values($of)[$this->below(count($of))];
    }

    /** A value of the wrong type, range, encoding, or size. */
    public function value(): mixed
    {
        return $this->one([
            null,
            true,
            false,
            0,
            -1,
            1,
            1.5,
            1e308,
            -1e308,
            PHP_INT_MAX,
            PHP_INT_MIN,
            1e19,
            [],
            [[]],
            [null],
            ['a' => ['b' => ['c' => 1]]],
            [[[[[1]]]]],
            '',
            ' ',
            '0',
            '-0',
            '1e400',
            '-1e400',
            'NaN',
            'INF',
            '99999999999999999999',
            '-98.2x',
            '0x1A',
            str_repeat('9', 310),
            "\u{0}",
            "a\u{0}b",
            "a\u{7}b",
            "a\r\nSet-Cookie: x",
            "\u{202E}abc",
            "\u{2066}x",
            "\u{FEFF}",
            "\u{85}",
            "Zalgo\u{300}\u{301}\u{302}",
            '👩‍🌾',
            '<script>alert(1)</script>',
            "'; DROP TABLE zones; --",
            '=HYPERLINK("x")',
            '../../../etc/passwd',
            '{{7*7}}',
            '%00',
            '%ff',
            '%s%n',
            str_repeat('a', 300),
            str_repeat('ä', 70000),
            '2026-02-30',
            '9999-12-31',
            '02-30',
            '12-99',
            'true',
            'null',
            '[]',
            '{}',
        ]);
    }

    /** Part of an address. */
    public function segment(): string
    {
        return rawurlencode(
            (string) $this->one([
                '0',
                '-1',
                '1',
                '999',
                '99999999999999999999',
                '1e3',
                'x',
                '..',
                '%2e%2e',
                "\u{202E}",
                'ä',
                str_repeat('a', 300),
                '<b>',
                "'",
                '"',
                '1;2',
                '1 OR 1=1',
                'null',
                'radish',
                'open-ground',
                "a\nb",
            ]),
        );
    }

    /** Part of an address that is not UTF-8. */
    public function rawSegment(): string
    {
        return $this->one(['%ff', '%c3%28', '%00', '%0d%0a', '%e2%80%ae', '%ed%a0%80']);
    }

    /** JSON that is almost JSON, or says more than fits. */
    public function broken(string $json): string
    {
        return match ($this->below(9)) {
            0 => substr($json, 0, $this->below(strlen($json) + 1)),
            1 => substr_replace($json, "\xff", $this->below(strlen($json) + 1), 0),
            2 => preg_replace('/\d+(\.\d+)?/', '1e400', $json) ?? '',
            3 => str_repeat('[', 2000).str_repeat(']', 2000),
            4 => '"'.str_repeat('x', 1000).'"',
            5 => $json.$json,
            6 => "\xef\xbb\xbf".$json,
            7 => preg_replace('/"([a-z_]+)":/', "\"\$1\u{0}\":", $json) ?? '',
            default => str_replace('"', "'", $json),
        };
    }

    /** A station's file, damaged the way files are damaged in transit, or on purpose. */
    public function mangled(string $file): string
    {
        $lines = explode("\n", $file);
        $at = $this->below(max(1, count($lines)));
        $damaged = match ($this->below(16)) {
            0 => substr($file, 0, $this->below(strlen($file) + 1)),
            1 => substr_replace($file, chr($this->below(256)), $this->below(max(1, strlen($file))), 1),
            2 => substr_replace(
                $file,
                $this->one(["\xff", "\x00", 'é', '"', ',', "\r", "\t", '1e400', str_repeat('7', 310), '−']),
                $this->below(max(1, strlen($file))),
                $this->below(3),
            ),
            3 => implode("\n", array_merge(array_slice($lines, $at), array_slice($lines, 0, $at))),
            4 => implode("\n", [...$lines, ...array_slice($lines, $at, 20)]),
            5 => implode("\n", array_filter($lines, fn (): bool => $this->below(3) > 0)),
            6 => implode("\n", array_map(fn (string $l): string => $this->below(5) === 0 ? strrev($l) : $l, $lines)),
            7 => implode("\n", array_map(fn (string $l): string => $this->below(9) === 0 ? $l.','.$this->below(9) : $l, $lines)),
            8 => str_replace('2001', (string) $this->one(['0000', '9999', '2099', '1600', '-001']), $file),
            9 => preg_replace('/(\d)\.(\d)/', '$1,$2', $file) ?? '',
            10 => substr((string) gzencode($file), 0, $this->below(400) + 20),
            11 => gzencode($file).'rest',
            12 => mb_convert_encoding($file, 'UTF-16'),
            13 => str_replace(',', (string) $this->one([';', "\t", '|', ',,']), $file),
            14 => $lines[0]."\n".str_repeat("\n", 5000).implode("\n", array_slice($lines, 1)),
            default => str_repeat((string) $this->one(['a', ',', '"', "\n,"]), 70000),
        };

        return $this->below(4) === 0 && strlen($damaged) < 100000 ? $this->mangled($damaged) : $damaged;
    }
}
