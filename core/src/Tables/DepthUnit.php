<?php

declare(strict_types=1);

namespace Anthesis\Tables;

/** The unit in which a file gives rain, or the depth of snow. */
enum DepthUnit: string
{
    case Millimetres = 'mm';
    case TenthsMillimetres = 'tenths-mm';
    case Centimetres = 'cm';
    case Inches = 'in';

    /** The unit at the end of a column's name: "rain_mm", "Snow depth (in)"; null: none. */
    public static function inName(string $name): ?self
    {
        if (preg_match('/(?:^|[^a-z])(mm|millimet(?:er|re)s?|cm|centimet(?:er|re)s?|in|inch|inches)[\])\s.]*$/iu', $name, $found) !== 1) {
            return null;
        }

        return match (strtolower(substr($found[1], 0, 2))) {
            'mm', 'mi' => self::Millimetres,
            'cm', 'ce' => self::Centimetres,
            default => self::Inches,
        };
    }

    /** What a table without a unit means, by the unit of its temperatures. The daily summaries in metric units give snow in mm. */
    public static function usual(TemperatureUnit $temperatures, bool $ofSnow, bool $isSummary): self
    {
        return match ($temperatures) {
            TemperatureUnit::Fahrenheit => self::Inches,
            TemperatureUnit::TenthsCelsius => $ofSnow ? self::Millimetres : self::TenthsMillimetres,
            TemperatureUnit::Celsius => $ofSnow && ! $isSummary ? self::Centimetres : self::Millimetres,
        };
    }

    public function symbol(): string
    {
        return match ($this) {
            self::Millimetres => 'mm',
            self::TenthsMillimetres => 'tenths of mm',
            self::Centimetres => 'cm',
            self::Inches => 'in',
        };
    }

    /** @return float mm, to a hundredth */
    public function toMillimetres(float $value): float
    {
        return 0.0 +
            round(
                $value *
                    match ($this) {
                        self::Millimetres => 1.0,
                        self::TenthsMillimetres => 0.1,
                        self::Centimetres => 10.0,
                        self::Inches => 25.4,
                    },
                2,
            );
    }
}
