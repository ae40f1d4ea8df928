<?php

declare(strict_types=1);

namespace Anthesis\Replay;

/** What became of a sowing, or a transplanting, on the weather that followed; `outcome.<value>` in words. */
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

    /** The code of a run that does not count: its season lies beyond the record, or in a gap of it. */
    public const NONE = 0;

    /** @return int the number runs keep it under: 1 to count(), each its own; of two equally frequent reasons the lower is given */
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

    /** @return self|null null for NONE, and for no outcome's number */
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
     * @return self|null the most frequent one other than a harvest; of equals the one named first; null: none
     */
    public static function mostFrequentLoss(array $counts): ?self
    {
        unset($counts[self::Harvest->code()]);
        ksort($counts);

        return $counts === [] ? null : self::fromCode((int) array_search(max($counts), $counts, true));
    }

    /** Whether there was anything to pick, be it for too short a time. */
    public function cameToHarvest(): bool
    {
        return $this === self::Harvest || $this === self::ShortHarvest;
    }

    /** Whether there was anything to put into the ground, and ground to put it into. */
    public function wasSown(): bool
    {
        return $this !== self::NoStock && $this !== self::GroundFrozen;
    }

    /** Whether it came up, or was set out, before its end. */
    public function cameUp(): bool
    {
        return $this->wasSown() && $this !== self::NoEmergenceCold && $this !== self::NoEmergenceHot;
    }
}
