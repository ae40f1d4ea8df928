<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** Everything the computation and the crop sheet know about a crop. CropSchema reads one from the cells of its row. */
final readonly class Crop
{
    /** The kind of cover crops: their "harvest" is a stand worth having. */
    public const COVER = 'cover';

    /**
     * @param  string  $kind  `cool` or `warm`, or `cover`: grown for the soil, not for the kitchen or the vase
     * @param  string  $start  what goes into the ground: `seed`, `clove`, `tuber`, `set`, `slip`
     * @param  list<Route>  $routes
     * @param  Bulb|null  $bulb  null: not a day-length bulb
     * @param  Stock|null  $stock  null: available all year
     * @param  string  $feeder  how much it takes from the soil: `light`, `medium`, `heavy`; or what it gives: `fixes` nitrogen, `builds`
     *   humus, `holds` what would wash out
     * @param  list<Caution>  $cautions
     * @param  string|null  $alsoCalled  other common names, with commas between them
     * @param  Seed|null  $seed  null: not known
     * @param  float|null  $heightCm  as it is usually grown; null: not known
     * @param  CutFlower|null  $cut  null: not a cut flower
     * @param  FruitSet|null  $fruitSet  null: it sets fruit, or gives its harvest, in any weather
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
        // @phpstan-ignore argument.type (PHP itself checks each part against its declared type)
        return new self(...$parts + get_object_vars($this));
    }

    /** @return array{float, string}|null what a meter of row yields in all, in `kg`, or for a flower in `stems`; null: not known */
    public function yieldPerMetre(): ?array
    {
        return match (true) {
            $this->cut !== null => [($this->cut->stemsPerPlant * 100) / $this->spacing->spacingCm, 'stems'],
            $this->spacing->yieldKgPerM !== null => [$this->spacing->yieldKgPerM, 'kg'],
            default => null,
        };
    }

    /** What the gardener does on a date of this way of growing. */
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
     * @return string a fingerprint of everything its dates depend on, SHA-256 in hexadecimal. Other names, seed, height, water, and stems
     *   are not part of it, nor is a number added later that the crop does not have
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
