<?php

declare(strict_types=1);

namespace Anthesis\Tables;

/** The unit in which a file gives its temperatures. */
enum TemperatureUnit: string
{
    case Celsius = 'celsius';
    case TenthsCelsius = 'tenths-celsius';
    case Fahrenheit = 'fahrenheit';

    public function symbol(): string
    {
        return match ($this) {
            self::Celsius => '°C',
            self::TenthsCelsius => 'tenths of °C',
            self::Fahrenheit => '°F',
        };
    }

    /** @return float °C, to a hundredth */
    public function toCelsius(float $value): float
    {
        // Adding zero turns −0.0 into 0.0, the same value in every format.
        return 0.0 +
            round(
                match ($this) {
                    self::Celsius => $value,
                    self::TenthsCelsius => $value / 10,
                    self::Fahrenheit => (($value - 32) * 5) / 9,
                },
                2,
            );
    }

    /** @return float °C that one degree (or tenth) of the unit is wide */
    public function degreeInCelsius(): float
    {
        return match ($this) {
            self::Celsius => 1.0,
            self::TenthsCelsius => 0.1,
            self::Fahrenheit => 5 / 9,
        };
    }
}
