<?php

declare(strict_types=1);

namespace App\Letters;

use Anthesis\Record\Day;
use App\Editions\Edition;
use App\Operations\BrokenSeal;
use App\Operations\OfficeInUse;
use App\Season\ZoneWater;
use App\Zones\Zone;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Throwable;

/** Sends the newsletter to everyone who is due one: once for each newsletter day, before the weekend, whenever this runs. */
final class SendLetters
{
    public function __construct(private readonly ZoneWater $water)
    {
    }

    /** @return int newsletters sent */
    public function execute(): int
    {
        return array_sum(
            Zone::query()
                ->get()
                ->map(fn (Zone $zone): int => OfficeInUse::within($zone->office_id, fn (): int => $this->ofZone($zone, $zone->today())))
                ->all(),
        );
    }

    private function ofZone(Zone $zone, Day $today): int
    {
        $for = self::letterDay($today);
        $sent = 0;
        $water = null;
        foreach (
            LetterReader::query()
                ->where('zone_id', $zone->id)
                ->with('zone.currentEdition')
                ->whereNotNull('confirmed_at')
                ->where(static fn ($due) => $due->whereNull('sent_for')->orWhere('sent_for', '<', $for->iso()))
                ->lazyById() as $reader
        ) {
            $edition = $reader->zone->currentEdition;
            // Whoever marks it as sent first sends it. A withdrawn calendar is not sent; its readers get mail again when there is another.
            if (
                $edition === null ||
                ! $edition->standing ||
                LetterReader::query()
                    ->whereKey($reader->id)
                    ->where(static fn ($due) => $due->whereNull('sent_for')->orWhere('sent_for', '<', $for->iso()))
                    ->update(['sent_for' => $for->iso()]) === 0
            ) {
                continue;
            }
            $water ??= $this->water->of($zone, $today);
            $sent += $this->send($reader, $edition, $today, $water['water']) ? 1 : 0;
        }

        return $sent;
    }

    /** @return Day the latest Thursday, including today */
    public static function letterDay(Day $today): Day
    {
        // Day 0, January 1, 1970, was a Thursday.
        return $today->plus(-((($today->number % 7) + 7) % 7));
    }

    /** @param  array{rain: float, et0: float}|null  $water */
    private function send(LetterReader $reader, Edition $edition, Day $today, ?array $water): bool
    {
        try {
            $document = $edition->setRelation('zone', $reader->zone)->open();
            Mail::to($reader->mail)->send(new WeeklyLetter($reader, $document, $today, $water));

            return true;
        } catch (BrokenSeal) {
            // What may not be shown is not sent; the next newsletter is.
            return false;
        } catch (Throwable $error) {
            // One address that cannot be reached does not keep others waiting; it is tried again with the next newsletter.
            Log::warning('A newsletter could not be sent: '.$error->getMessage());

            return false;
        }
    }
}
