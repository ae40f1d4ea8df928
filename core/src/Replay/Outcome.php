<?php

declare(strict_types=1);

namespace Anthesis\Replay;

/** How a sowing, or a transplanting, turned out on the weather that followed; `outcome.<value>` in words. */
enum Outcome: string
{
    case Harvest = 'harvest';
    case NoStock = 'no-stock';
    case GroundFrozen = 'ground-frozen';
    case NoEmergenceCold = 'no-emergence-cold';
    case NoEmergenceHot = 'no-emergence-hot';
    case FreezeYoung = 'freeze-young';
    case HeatYoung = 'heat-young';
    case Stunted = 'stunted';
    case DayLength = 'day-length';
    case FreezeLate = 'freeze-late';
    case ColdBolt = 'cold-bolt';
    case LongDayBolt = 'long-day-bolt';
    case Heat = 'heat';
    case OutOfTime = 'out-of-time';
    case NoSet = 'no-set';
    case ShortHarvest = 'short-harvest';

    /** The code of a simulated season that does not count: it runs past the record, or into a gap. */
    public const NONE = 0;

    /** @return int the number it is stored under, from 1 to count(). Of two equally frequent reasons, the lower one is shown */
    public function code(): int
    {
        return match ($this) {
            self::Harvest => 1,
            self::NoStock => 2,
            self::GroundFrozen => 3,
            self::NoEmergenceCold => 4,
            self::NoEmergenceHot => 5,
            self::FreezeYoung => 6,
            self::Stunted => 7,
            self::DayLength => 8,
            self::FreezeLate => 9,
            self::ColdBolt => 10,
            self::LongDayBolt => 11,
            self::Heat => 12,
            self::OutOfTime => 13,
            self::ShortHarvest => 14,
            self::HeatYoung => 15,
            self::NoSet => 16,
        };
    }

    public static function count(): int
    {
        return count(self::cases());
    }

    /** @return self|null null for NONE, and for any number that is not an outcome's */
    public static function fromCode(int $code): ?self
    {
        /** @var array<int, self> $byCode */
        static $byCode = [];
        if ($byCode === []) {
            foreach (self::cases() as $outcome) {
                $byCode[$outcome->code()] = $outcome;
            }
        }

        return $byCode[$code] ?? null;
    }

    /**
     * @param  array<int, int>  $counts  by code
     * @return self|null the most frequent one other than a harvest; among equals, the lowest code; null: none
     */
    public static function mostFrequentLoss(array $counts): ?self
    {
        unset($counts[self::Harvest->code()]);
        ksort($counts);

        return $counts === [] ? null : self::fromCode((int) array_search(max($counts), $counts, true));
    }

    /** Whether there was anything to harvest, even if only for a short time. */
    public function cameToHarvest(): bool
    {
        return $this === self::Harvest || $this === self::ShortHarvest;
    }

    /** Whether there was something to plant, and ground to plant it in. */
    public function wasSown(): bool
    {
        return $this !== self::NoStock && $this !== self::GroundFrozen;
    }

    /** Whether it emerged, or was transplanted, before its end. */
    public function cameUp(): bool
    {
        return $this->wasSown() && $this !== self::NoEmergenceCold && $this !== self::NoEmergenceHot;
    }
}
