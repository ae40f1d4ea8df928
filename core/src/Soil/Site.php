<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use InvalidArgumentException;

/** A kind of growing site: how it changes air, sun, soil, and night cold compared with the weather station. */
final readonly class Site
{
    /** Depth at which soil for sowing is judged, m. */
    public const DEPTH = 0.05;

    /** name => [air °C, sun °C, rate, night protection °C] */
    private const PRESETS = [
        'open ground' => [0.0, 2.0, 1.0, 0.0],
        'raised bed' => [0.0, 2.8, 1.15, 0.0],
        'container' => [0.0, 3.2, 1.35, -0.5],
        'straw mulch' => [0.0, 0.5, 0.7, 0.0],
        'dark plastic mulch' => [0.0, 5.0, 1.0, 0.0],
        'cold pocket' => [-1.0, 2.0, 1.0, -1.5],
        'sun-facing wall' => [1.0, 3.5, 1.1, 1.0],
        'row cover' => [1.0, 2.5, 1.0, 1.5],
        'low tunnel' => [2.5, 3.5, 1.0, 2.5],
        'cold frame' => [3.5, 4.5, 1.1, 4.0],
        'shade cloth' => [-1.5, 0.3, 1.0, 0.5],
    ];

    /**
     * @param  float  $air  added to minimum and maximum air temperature, °C
     * @param  float  $sun  warming of the soil at a radiation of 40 MJ m⁻² d⁻¹, °C
     * @param  float  $rate  how fast the soil follows the air, 1 for open ground
     * @param  float  $protection  added to the minimum, on top of air, when freezing is judged, °C
     * @param  float  $depth  m
     * @param  float  $diffusivity  thermal diffusivity of the soil, m² s⁻¹
     * @param  float  $offset  what readings on the spot add to the modeled soil, °C
     * @param  string  $ground  kind of ground by the water it holds, one of Ground::names(); it changes no temperature
     */
    public function __construct(
        public string $name,
        public float $air,
        public float $sun,
        public float $rate,
        public float $protection,
        public float $depth = self::DEPTH,
        public float $diffusivity = 0.6e-6,
        public float $offset = 0.0,
        public string $ground = Ground::DEFAULT,
    ) {
    }

    public static function openGround(): self
    {
        return self::named('open ground');
    }

    /** @throws InvalidArgumentException if there is no preset of that name */
    public static function named(string $name): self
    {
        // A wall that faces the sun is a south wall north of the equator, and a north wall south of it.
        $key = in_array($name, ['south wall', 'north wall'], true) ? 'sun-facing wall' : $name;
        if (! isset(self::PRESETS[$key])) {
            throw new InvalidArgumentException("There is no site “{$name}”; choose one of: ".implode(', ', self::names()).'.');
        }

        return new self($key, ...self::PRESETS[$key]);
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::PRESETS);
    }

    /** @return list<self> the sites every installation starts with, open ground first */
    public static function presets(): array
    {
        return array_map(self::named(...), self::names());
    }

    /** @return list<self> what can be put over plants for a night, lightest first */
    public static function covers(): array
    {
        return array_map(self::named(...), ['row cover', 'low tunnel', 'cold frame']);
    }

    public function atDepth(float $metres): self
    {
        return new self(
            $this->name,
            $this->air,
            $this->sun,
            $this->rate,
            $this->protection,
            $metres,
            $this->diffusivity,
            $this->offset,
            $this->ground,
        );
    }

    public function withRate(float $rate): self
    {
        return new self(
            $this->name,
            $this->air,
            $this->sun,
            $rate,
            $this->protection,
            $this->depth,
            $this->diffusivity,
            $this->offset,
            $this->ground,
        );
    }

    /** The model at this site as the formula gives it, without what readings added. */
    public function withoutOffset(): self
    {
        return new self($this->name, $this->air, $this->sun, $this->rate, $this->protection, $this->depth, $this->diffusivity);
    }
}
