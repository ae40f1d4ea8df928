<?php

declare(strict_types=1);

namespace Anthesis\Messages;

/**
 * The units a reader is used to. The core computes and returns metric values; messages can say either: `{units, select, us {…} other {…}}`.
 *
 * Mirrored by resources/js/words/units.ts, so a page and a feed say the same; core/tests/fixtures/units.json tests both.
 */
enum UnitSystem: string
{
    case Metric = 'metric';

    case Us = 'us';

    private const INCH_CM = 2.54;

    private const FOOT_M = 0.3048;

    private const MILE_KM = 1.609344;

    private const POUND_KG = 0.45359237;

    private const GALLON_L = 3.785411784;

    /** Below this many inches, a length is shown in quarters of an inch. */
    private const IN_QUARTERS = 4;

    private const QUARTERS = ['', '¼', '½', '¾'];

    /**
     * What a message can be filled in with beside a metric value: `fahrenheit` for `celsius` (°C to whole °F), `fahrenheit_more` for
     * `celsius_more` (a difference, to a tenth), `inches` for `cm` and `depth` (cm; as text, in quarters below 4 in), `rain_inches` for
     * `rain` (mm, to a hundredth), `gallons` for `litres` (to a tenth below ten), `feet` for `metres` (to ten), `row_feet` for `row` (m of
     * row or bed, to a tenth), `miles` for `km`, `pounds` for `kg` (to a tenth), `fahrenheit_read` for `celsius_read` (to a tenth),
     * `grams_a_foot` for `grams_a_metre`, `lapse_us` for `lapse` (°C per 100 m to °F per 1,000 ft).
     *
     * @param  array<string, mixed>  $values
     * @return array<string, mixed> the same, with these values and the name of the units added
     */
    public function with(array $values): array
    {
        foreach ($values as $name => $value) {
            if (is_int($value) || is_float($value)) {
                $values += match ($name) {
                    'celsius' => ['fahrenheit' => self::rounded(32 + 1.8 * $value)],
                    'celsius_read' => ['fahrenheit_read' => self::rounded(32 + 1.8 * $value, 1)],
                    'celsius_more' => ['fahrenheit_more' => self::rounded(1.8 * $value, 1)],
                    'cm', 'depth' => ['inches' => self::inches($value / self::INCH_CM)],
                    'rain' => ['rain_inches' => self::rounded($value / self::INCH_CM / 10, 2)],
                    'litres' => ['gallons' => self::rounded($value / self::GALLON_L, $value < 10 * self::GALLON_L ? 1 : 0)],
                    'metres' => ['feet' => 10 * self::rounded($value / self::FOOT_M / 10)],
                    'row' => ['row_feet' => self::rounded($value / self::FOOT_M, 1)],
                    'km' => ['miles' => self::rounded($value / self::MILE_KM)],
                    'kg' => ['pounds' => self::rounded($value / self::POUND_KG, 1)],
                    'grams_a_metre' => ['grams_a_foot' => self::rounded($value * self::FOOT_M)],
                    'lapse' => ['lapse_us' => self::rounded($value * 1.8 * 10 * self::FOOT_M, 2)],
                    default => [],
                };
            }
        }

        return $values + ['units' => $this->value];
    }

    /** How people who use these units write days. */
    public function dates(): DateStyle
    {
        return $this === self::Us ? DateStyle::MonthFirst : DateStyle::DayFirst;
    }

    /** @return string a person's sentence with its temperatures (°C) and lengths (cm) in these units */
    public function inText(string $text): string
    {
        if ($this === self::Metric) {
            return $text;
        }

        return (string) preg_replace_callback(
            '/([−-]?\d+(?:[.,]\d+)?)(?:( \w{1,2} | ?[–-] ?)([−-]?\d+(?:[.,]\d+)?))?\s?(°C|cm\b)/u',
            static function (array $found): string {
                $said = static fn (string $number): string => $found[4] === 'cm'
                    ? self::inches(self::number($number) / self::INCH_CM)
                    : str_replace('-', '−', (string) (int) self::rounded(32 + 1.8 * self::number($number)));

                return $said($found[1]).($found[3] === '' ? '' : $found[2].$said($found[3])).($found[4] === 'cm' ? ' in' : ' °F');
            },
            $text,
        );
    }

    /**
     * A half is rounded away from zero, and counts as a half if the tenth decimal says so: in binary, 1.8 times a temperature with one
     * decimal is never quite what it is on paper. Never minus zero.
     */
    private static function rounded(float $value, int $digits = 0): float
    {
        $whole = floor(round(abs($value) * 10 ** $digits, 9) + 0.5) / 10 ** $digits;

        return $value < 0 && $whole > 0 ? -$whole : $whole;
    }

    private static function number(string $digits): float
    {
        return (float) strtr($digits, ['−' => '-', ',' => '.']);
    }

    private static function inches(float $inches): string
    {
        if ($inches >= self::IN_QUARTERS) {
            return (string) (int) self::rounded($inches);
        }
        $quarters = max(1, (int) self::rounded(4 * $inches));
        $whole = intdiv($quarters, 4);

        return ($whole === 0 ? '' : $whole).self::QUARTERS[$quarters % 4];
    }
}
