<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** Everything the computation and the crop sheet know of a crop. Units: °C, days, cm, hours, kg. */
final readonly class Crop
{
    /**
     * @param  string  $kind  `cool` or `warm`
     * @param  string  $start  what goes into the ground: `seed`, `clove`, `tuber`, `set`, `slip`
     * @param  list<Route>  $routes
     * @param  float  $maturityDays  packet days to first harvest, counted from $maturityBasis
     * @param  SeedlingWeeks|null  $seedling  null: never set out
     * @param  float  $indoorC  soil temperature under cover
     * @param  float  $transplantCheckDays  growth lost at setting out
     * @param  float  $refC  the mean air temperature at which packet days hold
     * @param  float  $killYoungC  screen minimum that kills young plants
     * @param  float  $killC  screen minimum that kills established plants
     * @param  float  $youngShare  share of growth that counts as young
     * @param  float  $heatC  done for on the $heatDays-th day with a maximum at or above it
     * @param  float  $heatFrom  share of growth from which such days count
     * @param  int  $harvestDays  length of harvest from one sowing
     * @param  int  $minHarvestDays  the shortest harvest that is worth it
     * @param  float|null  $soilMinSowC  soil temperature asked for before sowing outdoors
     * @param  float|null  $soilMinSetOutC  soil temperature asked for before setting out
     * @param  float|null  $springSowWeeks  conventional weeks after (negative: before) the average last freeze
     * @param  float|null  $criticalDayHours  day length at which bulbing starts; null: no day-length bulb
     * @param  list<Caution>  $cautions
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
        public float $maturityDays,
        public MaturityBasis $maturityBasis,
        public ?SeedlingWeeks $seedling,
        public float $indoorC,
        public float $transplantCheckDays,
        public float $baseC,
        public float $optLowC,
        public float $optHighC,
        public float $ceilingC,
        public float $refC,
        public float $killYoungC,
        public float $killC,
        public float $youngShare,
        public float $heatC,
        public int $heatDays,
        public float $heatFrom,
        public int $harvestDays,
        public int $minHarvestDays,
        public ?float $soilMinSowC,
        public ?float $soilMinSetOutC,
        public ?float $springSowWeeks,
        public ?float $springSetOutWeeks,
        public ?int $successionDays,
        public ?float $criticalDayHours,
        public ?float $juvenileDays,
        public ?int $chillDays,
        public ?int $boltChillDays,
        public float $depthCm,
        public float $spacingCm,
        public float $rowCm,
        public float $perSquareFoot,
        public ?float $yieldKgPerM,
        public string $feeder,
        public ?string $followWith,
        public array $cautions,
        public ?string $notes,
    ) {
    }

    /** Garlic and its like: planted in autumn, with no conventional spring date. */
    public function isAutumnPlantedBulb(): bool
    {
        return $this->start === 'clove' && $this->springSowWeeks === null && $this->springSetOutWeeks === null;
    }

    public function soilMinimum(Route $route): ?float
    {
        return $route === Route::Direct ? $this->soilMinSowC : $this->soilMinSetOutC;
    }

    public function springWeeks(Route $route): ?float
    {
        return $route === Route::Direct ? $this->springSowWeeks : $this->springSetOutWeeks;
    }

    /** @return string a fingerprint of all parameters, SHA-256 in hexadecimal */
    public function checksum(): string
    {
        return hash('sha256', json_encode($this, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }
}
