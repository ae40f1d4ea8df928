<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use InvalidArgumentException;

/** Days from sowing to emergence by soil temperature. */
final readonly class Emergence
{
    /** °C between two columns of the table, which starts at 0 °C. */
    public const STEP = 5;

    /** The temperatures of the table, °C. */
    public const TEMPERATURES = [0, 5, 10, 15, 20, 25, 30, 35, 40];

    /**
     * @param  list<float|null>  $days  length 9: days to emergence at 0, 5 … 40 °C; null if it does not emerge
     * @param  int  $maxDays  a sowing not up by then is lost
     *
     * @throws InvalidArgumentException unless the table has nine entries
     */
    public function __construct(public array $days, public int $maxDays)
    {
        if (count($days) !== count(self::TEMPERATURES)) {
            throw new InvalidArgumentException('An emergence table has nine entries, for 0, 5 … 40 °C.');
        }
    }

    /** @return float share of emergence reached in a day at this soil temperature, linear between the table's temperatures */
    public function rateAt(float $celsius): float
    {
        $top = count(self::TEMPERATURES) - 1;
        $position = $celsius / self::STEP;
        if ($position < 0.0 || $position > $top) {
            return 0.0;
        }
        $lower = min((int) $position, $top - 1);
        $share = $position - $lower;

        return (1 - $share) * self::rate($this->days[$lower]) + $share * self::rate($this->days[$lower + 1]);
    }

    /** @return float|null days to emergence at a steady soil temperature; null if it does not emerge */
    public function daysAt(float $celsius): ?float
    {
        $rate = $this->rateAt($celsius);

        return $rate > 0.0 ? 1 / $rate : null;
    }

    private static function rate(?float $days): float
    {
        return $days === null ? 0.0 : 1 / $days;
    }
}
