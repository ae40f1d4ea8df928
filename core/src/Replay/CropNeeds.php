<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Crop\Crop;
use Anthesis\Crop\FruitSet;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;

/**
 * What a crop needs from its season by one way of growing, in the units a replay works in: growth-days, counts of days, °C.
 *
 * Amounts of growth are reached within Tolerance::SUMS, because sums are differences of long ones.
 *
 * @internal to the replay
 */
final readonly class CropNeeds
{
    private const BULBING_FROM = 0.2;

    private const FULL_SIZE = 0.75;

    private const BULBING_TAKES = 0.4;

    private const AFTER_CHILL = 0.1;

    /** Share of growth by which a fruit that sets right away is ripe. */
    private const SET_TO_HARVEST = 0.9;

    /** Growth-days from emergence, or transplanting, to the end of youth. */
    public float $youth;

    /** … to maturity. */
    public float $maturity;

    /** … from which hot days count. */
    public float $heatFrom;

    /** … of a bulb, that make it full-sized. */
    public float $juvenile;

    /** … of a bulb, from which it may start bulbing. */
    public float $bulbingFrom;

    /** … of a bulb, that make it big enough to be worth bulbing. */
    public float $fullSize;

    /** Growth-days from the start of bulbing to maturity. */
    public float $bulbing;

    /** Growth-days from the last cold day it needs to maturity. */
    public float $afterChill;

    /** Cold days needed before it crops, or bulbs; 0: none. */
    public int $chillDays;

    /** Cold days after which it bolts as days lengthen; 0: it does not. */
    public int $boltChillDays;

    /** Growth-days on long days, from emergence or transplanting, by which it has bolted. */
    public float $longDayBolting;

    /** Growth-days from emergence, or transplanting, after which fruit sets. */
    public float $setFrom;

    /** Growth-days from fruit set to maturity; 0 or less: ripe when set. */
    public float $afterSet;

    /** Growth-days from emergence, or transplanting, after which cold counts toward bolting. */
    public float $coldFrom;

    public function __construct(public Crop $crop, public Route $route, public LightSchool $light)
    {
        $maturity = new Maturity($crop);
        $days = $maturity->growthDays($route);
        $this->youth = $crop->hardiness->youngShare * $days - Tolerance::SUMS;
        $this->maturity = $days - Tolerance::SUMS;
        $this->heatFrom = $crop->heat->fromShare * $days - Tolerance::SUMS;
        $juvenile = $this->isBulb() ? $maturity->juvenileDays($route) : 0.0;
        $this->juvenile = $juvenile;
        $this->bulbingFrom = self::BULBING_FROM * $juvenile - Tolerance::SUMS;
        $this->fullSize = self::FULL_SIZE * $juvenile - Tolerance::SUMS;
        $this->bulbing = self::BULBING_TAKES * $days - Tolerance::SUMS;
        $this->afterChill = self::AFTER_CHILL * $days - Tolerance::SUMS;
        $this->chillDays = (int) $crop->growth->chillDays;
        $this->boltChillDays = (int) $crop->bolting->chillDays;
        $share = $crop->fruitSet->fromShare ?? FruitSet::FROM_SHARE;
        $this->setFrom = $share * $days - Tolerance::SUMS;
        $this->afterSet = (self::SET_TO_HARVEST - $share) * $days - Tolerance::SUMS;
        $this->coldFrom = $maturity->coldFromDays($route) - Tolerance::SUMS;
        $this->longDayBolting = $maturity->boltingDays($route) - Tolerance::SUMS;
    }

    /** Whether bulbing waits for a day length. */
    public function isBulb(): bool
    {
        return $this->crop->bulb !== null;
    }

    public function isSownInPlace(): bool
    {
        return $this->route === Route::Direct;
    }
}
