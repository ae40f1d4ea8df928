<?php

declare(strict_types=1);

namespace Anthesis\Replay;

/** What became of a sowing, or a setting out, on the weather that followed. Runs keep the number of the case, from 1. */
enum Outcome: string
{
    case Harvest = 'harvest';
    case NoEmergenceCold = 'no-emergence-cold';
    case NoEmergenceHot = 'no-emergence-hot';
    case FreezeYoung = 'freeze-young';
    case Stunted = 'stunted';
    case DayLength = 'day-length';
    case FreezeLate = 'freeze-late';
    case ColdBolt = 'cold-bolt';
    case Heat = 'heat';
    case OutOfTime = 'out-of-time';
    case ShortHarvest = 'short-harvest';

    /** @return string as in "21 of 29 years: …" */
    public function inWords(): string
    {
        return match ($this) {
            self::Harvest => 'a harvest',
            self::NoEmergenceCold => 'did not come up: soil too cold',
            self::NoEmergenceHot => 'did not come up: soil too warm',
            self::FreezeYoung => 'frozen while young',
            self::Stunted => 'stunted in its first two weeks',
            self::DayLength => 'the days had the wrong length for bulbs',
            self::FreezeLate => 'frozen before harvest',
            self::ColdBolt => 'ran to seed after the cold',
            self::Heat => 'done for by heat before harvest',
            self::OutOfTime => 'ran out of time',
            self::ShortHarvest => 'harvest too short',
        };
    }

    /** The outcome kept under a number in runs: 1 for the first case and so on; null for 0, a run that does not count. */
    public static function fromCode(int $code): ?self
    {
        return $code < 1 ? null : (self::cases()[$code - 1] ?? null);
    }
}
