<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use InvalidArgumentException;

/** A kind of ground, by the water it holds; FAO Irrigation and Drainage Paper 56, table 19, rounded. The presets are open to discussion. */
final readonly class Ground
{
    /**
     * Name => field capacity and wilting point (m³ of water per m³), readily evaporable water of the top 10 cm (mm), share that must dry.
     */
    private const PRESETS = [
        'sand' => [0.12, 0.045, 5.0, 0.10],
        'sandy loam' => [0.23, 0.11, 8.0, 0.15],
        'loam' => [0.25, 0.12, 10.0, 0.25],
        'silt loam' => [0.29, 0.15, 10.0, 0.30],
        'clay' => [0.36, 0.22, 10.0, 0.35],
        'bed mix' => [0.30, 0.12, 8.0, 0.10],
    ];

    public const DEFAULT = 'loam';

    /** Depth for which the readily evaporable water is given, m. */
    private const TABLE_DEPTH = 0.10;

    /** At most this share of what can evaporate evaporates readily. */
    private const MOST_READILY = 0.9;

    /**
     * @param  float  $fieldCapacity  m³ of water per m³ of soil
     * @param  float  $wiltingPoint  in the same unit
     * @param  float  $readilyMm  mm that evaporate from the top 10 cm as readily as from open water
     * @param  float  $shareToDry  share of the evaporable water at the top that must be gone before it can be worked
     */
    public function __construct(
        public string $name,
        public float $fieldCapacity,
        public float $wiltingPoint,
        public float $readilyMm,
        public float $shareToDry,
    ) {
    }

    /** @throws InvalidArgumentException for an unknown name */
    public static function named(string $name): self
    {
        return isset(self::PRESETS[$name])
            ? new self($name, ...self::PRESETS[$name])
            : throw new InvalidArgumentException(
                "There is no ground “{$name}”. Use one of these: ".implode(', ', self::names()).'.',
            );
    }

    /** @return list<string> from the lightest to the heaviest, then the bed mix */
    public static function names(): array
    {
        return array_keys(self::PRESETS);
    }

    /** @return float mm that can evaporate from a layer this thick, m */
    public function evaporable(float $depth): float
    {
        return 1000 * ($this->fieldCapacity - 0.5 * $this->wiltingPoint) * $depth;
    }

    /** @return float mm that evaporate from that layer as readily as from open water */
    public function readily(float $depth): float
    {
        return min(($this->readilyMm * $depth) / self::TABLE_DEPTH, self::MOST_READILY * $this->evaporable($depth));
    }

    /** @return float mm that roots can take from a layer this thick, m */
    public function available(float $depth): float
    {
        return 1000 * ($this->fieldCapacity - $this->wiltingPoint) * $depth;
    }
}
