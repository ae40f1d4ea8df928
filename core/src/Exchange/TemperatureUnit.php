<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

/** The unit a file gives its temperatures in. */
enum TemperatureUnit: string
{
    case Celsius = 'celsius';
    case Fahrenheit = 'fahrenheit';

    public function symbol(): string
    {
        return $this === self::Celsius ? '°C' : '°F';
    }

    /** @return float °C, to a hundredth */
    public function toCelsius(float $value): float
    {
        return round($this === self::Celsius ? $value : ($value - 32) * 5 / 9, 2);
    }
}
