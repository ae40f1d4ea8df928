<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** Everything the computation and the crop sheet know of a crop; CropSchema reads one from the cells of its row. */
final readonly class Crop
{
    /** The kind of cover crops: their "harvest" is a stand worth having. */
    public const COVER = 'cover';

    /**
     * @param  string  $kind  `cool` or `warm`, or `cover`: sown for the ground, not for the kitchen or the vase
     * @param  string  $start  what goes into the ground: `seed`, `clove`, `tuber`, `set`, `slip`
     * @param  list<Route>  $routes
     * @param  Bulb|null  $bulb  null: no day-length bulb
     * @param  Stock|null  $stock  null: to be had all year
     * @param  string  $feeder  what it takes from the ground: `light`, `medium`, `heavy`; `fixes`, `builds`, `holds`: gives nitrogen,
     *     humus, what would wash out
     * @param  list<Caution>  $cautions
     * @param  string|null  $alsoCalled  other common names, with commas between them
     * @param  Seed|null  $seed  null: nothing is known of it
     * @param  float|null  $heightCm  as it is usually grown; null: not known
     * @param  CutFlower|null  $cut  null: not for the vase
     * @param  FruitSet|null  $fruitSet  null: it sets fruit, or gives what is picked, in any weather
     */
    public function __construct(
        public string $slug,
        public string $name,
        public string $latin,
        public string $family,
        public string $kind,
        public string $start,
        public array $routes,
        public Emergence $emergence,
        public Growth $growth,
        public UnderCover $underCover,
        public Hardiness $hardiness,
        public HeatLimit $heat,
        public Harvest $harvest,
        public Convention $convention,
        public ?Bulb $bulb,
        public Bolting $bolting,
        public ?Stock $stock,
        public Spacing $spacing,
        public string $feeder,
        public ?string $followWith,
        public array $cautions,
        public ?string $notes,
        public ?string $alsoCalled = null,
        public ?Seed $seed = null,
        public ?float $heightCm = null,
        public Watering $watering = new Watering(),
        public ?CutFlower $cut = null,
        public ?FruitSet $fruitSet = null,
    ) {
    }

    /** Garlic and its like: planted in fall, with no conventional spring date. */
    public function isAutumnPlantedBulb(): bool
    {
        return $this->start === 'clove' && $this->convention->springSowWeeks === null && $this->convention->springSetOutWeeks === null;
    }

    /** The same crop with other packet days. */
    public function maturingIn(float $days): self
    {
        $g = $this->growth;

        return $this->with(
            growth: new Growth($days, $g->maturityBasis, $g->baseC, $g->optLowC, $g->optHighC, $g->ceilingC, $g->refC, $g->chillDays),
        );
    }

    /** The same crop with some parts replaced, each under its own name. */
    public function with(mixed ...$parts): self
    {
        // @phpstan-ignore argument.type (PHP itself holds each part against the type it is declared with)
        return new self(...$parts + get_object_vars($this));
    }

    /** @return array{float, string}|null what a metre of row gives in all, in `kg`, or of a flower in `stems`; null: not known */
    public function yieldPerMetre(): ?array
    {
        return match (true) {
            $this->cut !== null => [($this->cut->stemsPerPlant * 100) / $this->spacing->spacingCm, 'stems'],
            $this->spacing->yieldKgPerM !== null => [$this->spacing->yieldKgPerM, 'kg'],
            default => null,
        };
    }

    /** What the gardener does on a date of a route. */
    public function act(Route $route): Act
    {
        return match (true) {
            $route === Route::Transplant => Act::SetOut,
            $this->start === 'seed' => Act::SowOutdoors,
            default => Act::Plant,
        };
    }

    public function soilMinimum(Route $route): ?float
    {
        return $route === Route::Direct ? $this->convention->soilMinSowC : $this->convention->soilMinSetOutC;
    }

    public function springWeeks(Route $route): ?float
    {
        return $route === Route::Direct ? $this->convention->springSowWeeks : $this->convention->springSetOutWeeks;
    }

    /**
     * @return string a fingerprint of all that its dates hang on, SHA-256 in hexadecimal; what else it is called, its seed, height,
     *   water and stems are none of it, nor a number that came later and that it does not have
     */
    public function checksum(): string
    {
        return hash(
            'sha256',
            json_encode(
                array_diff_key(get_object_vars($this), [
                    'alsoCalled' => true,
                    'seed' => true,
                    'heightCm' => true,
                    'watering' => true,
                    'cut' => true,
                ] + ($this->fruitSet === null ? ['fruitSet' => true] : [])),
                JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
            ),
        );
    }
}
