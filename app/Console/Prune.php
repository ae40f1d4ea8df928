<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Edition;
use App\Gardener\PdfPress;
use App\Gardener\PublicSite;
use App\Log\LogPhoto;
use App\Operations\FileStore;
use App\People\Login;
use App\People\Token;
use App\Results\Result;
use App\Results\ResultKind;
use App\Stations\StationDevice;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\Zone;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\File;

/**
 * Deletes what nothing refers to: computations that later ones have replaced, results that none of those still kept refers to, files of no
 * edition. Editions contain all they need in their own text, so nothing of theirs is ever touched.
 */
class Prune extends Command
{
    /** Computations kept for each zone and site: the one shown, and some to look back on. */
    private const KEPT = 3;

    /** Anything computed or used this recently may be in use right now, or belong to a computation in progress. */
    private const HOURS = 1;

    private const SHEET_DAYS = 7;

    protected $signature = 'anthesis:prune';

    protected $description = 'Delete computations, results, and files that nothing refers to any longer';

    public function handle(): int
    {
        $computations = $this->computations();
        $results = $this->results();
        $folders = $this->folders();
        $sheets = $this->sheets();
        $this->unfinished();
        Login::forgetOld();
        StationDevice::forgetEnded();
        Token::forgetEnded();
        $this->line("put away: {$computations} computations, {$results} results, {$folders} folders, {$sheets} sheets");

        return self::SUCCESS;
    }

    private function computations(): int
    {
        $gone = 0;
        foreach (Computation::query()->select('zone_id', 'site_id')->distinct()->get() as $of) {
            $these = static fn (): Builder => Computation::query()->where('zone_id', $of->zone_id)->where('site_id', $of->site_id);
            $kept = [
                ...$these()->where('state', ComputationState::Done)->latest('id')->limit(self::KEPT)->pluck('id'),
                ...$these()->latest('id')->limit(self::KEPT)->pluck('id'),
            ];
            $gone += $these()
                ->whereNotIn('id', $kept)
                ->whereIn('state', [ComputationState::Done, ComputationState::Failed, ComputationState::Cancelled])
                ->where('updated_at', '<', now()->subHours(self::HOURS))
                ->delete();
        }

        return $gone;
    }

    private function results(): int
    {
        $referred = [];
        foreach (
            Computation::query()
                ->whereNotNull('ruler_hash')
                ->get(['ruler_hash', 'climate_hash', 'sheet_hashes']) as $computation
        ) {
            foreach (
                [$computation->ruler_hash, $computation->climate_hash, ...array_values($computation->sheet_hashes ?? [])] as $hash
            ) {
                $referred[(string) $hash] = true;
            }
        }

        return array_sum(array_map(static fn (ResultKind $kind): int => self::unused($kind, $referred), ResultKind::cases()));
    }

    /**
     * @param  array<string, true>  $referred  fingerprints that are kept however old they are
     * @return int how many of a kind nobody has used within the time such results are kept, and are now gone
     */
    private static function unused(ResultKind $kind, array $referred): int
    {
        $gone = 0;
        $old = static fn (): Builder => Result::query()
            ->where('kind', $kind)
            ->where('used_at', '<', now()->subDays($kind->keptDays()));
        $unused = array_filter($old()->pluck('hash')->all(), static fn (string $hash): bool => ! isset($referred[$hash]));
        foreach (array_chunk($unused, 500) as $hashes) {
            // Checked again while deleting: a computation that has just started to use one has marked it as used.
            $gone += $old()->whereIn('hash', $hashes)->delete();
        }

        return $gone;
    }

    /** PDF files nobody has asked for in a week: another edition or week has its own. */
    private function sheets(): int
    {
        $old = array_filter(
            glob(PdfPress::folder().'/*') ?: [],
            static fn (string $file): bool => filemtime($file) < time() - self::SHEET_DAYS * 86400,
        );
        File::delete(array_values($old));

        return count($old);
    }

    /** Partial files of uploads whose process was killed. */
    private function unfinished(): void
    {
        foreach (['originals', LogPhoto::DISK] as $disk) {
            FileStore::on($disk)->sweep(3600 * self::HOURS);
        }
    }

    private function folders(): int
    {
        $gone = 0;
        foreach (is_dir(PublicSite::root()) ? File::directories(PublicSite::root()) : [] as $folder) {
            $zone = Zone::query()->where('slug', basename($folder))->first();
            $numbers = $zone === null ? [] : Edition::query()->where('zone_id', $zone->id)->pluck('number')->all();
            foreach (File::directories($folder) as $inner) {
                $name = basename($inner);
                $known = ctype_digit($name)
                    ? in_array((int) $name, $numbers, true)
                    : $name === 'current' || filemtime($inner) > time() - 3600 * self::HOURS;
                if (! $known && ! is_link($inner)) {
                    File::deleteDirectory($inner);
                    $gone++;
                }
            }
            if ($zone === null) {
                File::deleteDirectory($folder);
                $gone++;
            }
        }

        return $gone;
    }
}
