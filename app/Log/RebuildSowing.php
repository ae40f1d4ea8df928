<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\OutOfOrder;
use Anthesis\Log\SowingFold;
use Anthesis\Log\StandingEntry;
use App\Operations\Say;

/** Brings a planting up to date with its entries that count. */
final class RebuildSowing
{
    /** @throws EntryRefused if a day comes before one that must come first */
    public function execute(Sowing $sowing): void
    {
        $sowing->update(
            self::columns(array_values($sowing->entries()->get()->map(static fn (LogEntry $e): StandingEntry => $e->toStanding())->all())),
        );
    }

    /**
     * @param  list<StandingEntry>  $entries  in order of their days
     * @return array<string, mixed> the columns of a planting that follow from them
     *
     * @throws EntryRefused if a day comes before one that must come first
     */
    public static function columns(array $entries): array
    {
        try {
            $sowing = SowingFold::of($entries);
        } catch (OutOfOrder $error) {
            throw new EntryRefused('on', Say::phrase($error->why));
        }

        return $sowing === null ? ['taken_back' => true] : Sowing::columnsOf($sowing);
    }
}
