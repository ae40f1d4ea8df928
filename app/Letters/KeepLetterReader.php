<?php

declare(strict_types=1);

namespace App\Letters;

use App\Gardener\Reading;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/** Saves who wants the newsletter, and asks them by e-mail whether they do; confirms them, and deletes them. */
final class KeepLetterReader
{
    /** Minutes before the same address is asked again, whoever types it. */
    private const ASKED_AGAIN = 10;

    /**
     * The answer is the same whether the address is known or not.
     *
     * @param  list<string>|null  $crops  slugs; null: all
     */
    public function ask(Zone $zone, string $mail, Reading $reading, ?array $crops): void
    {
        DB::transaction(static function () use ($zone, $mail, $reading, $crops): void {
            $reader = LetterReader::query()->createOrFirst(
                ['zone_id' => $zone->id, 'mail' => mb_strtolower($mail)],
                ['token' => Str::random(48), 'reading' => $reading->name(), 'crops' => $crops],
            );
            if (! $reader->wasRecentlyCreated && $reader->updated_at->gt(now()->subMinutes(self::ASKED_AGAIN))) {
                return;
            }
            $reader->touch();
            // A confirmed reader's choice changes when they confirm again, not when anybody types their address.
            Mail::to($reader->mail)->send(new ConfirmationMail($reader, $reading, $crops));
        });
    }

    /** @param  list<string>|null  $crops */
    public function confirm(LetterReader $reader, Reading $reading, ?array $crops): void
    {
        $reader->update(['confirmed_at' => $reader->confirmed_at ?? now(), 'reading' => $reading->name(), 'crops' => $crops]);
    }

    public function forget(LetterReader $reader): void
    {
        $reader->delete();
    }
}
