<?php

declare(strict_types=1);

namespace App\Log;

/** Brings a sowing up to date with its entries that count. */
final class TellSowing
{
    /** @throws EntryRefused when a day comes before one that must come first */
    public function execute(Sowing $sowing): void
    {
        $entries = array_values($sowing->entries()->get()->map(StandingEntry::of(...))->all());
        $sowing->update(SowingFold::of($entries) ?? ['taken_back' => true]);
    }
}
