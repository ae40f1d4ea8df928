<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Edition;
use App\Gardener\PublicSite;
use App\Gardener\RenderEditionJob;
use App\Gardener\RenderSeasonJob;
use App\Gardener\SeasonPage;
use App\Operations\Heartbeat;
use App\Stations\RecordImport;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Storage;

/** Holds everything that must not change unnoticed against its fingerprint and seal: editions, their pages and originals. */
class Verify extends Command
{
    private const TOLD = 20;

    protected $signature = 'anthesis:verify';

    protected $description = 'Check the seals of editions, their pages, and the originals of station files';

    /** @var list<string> */
    private array $faults = [];

    public function handle(PublicSite $site): int
    {
        $this->faults = [];
        $looked = ['editions' => 0, 'originals' => 0];
        foreach (Edition::query()->with('zone')->orderBy('id')->lazy(20) as $edition) {
            $looked['editions']++;
            $name = "Edition {$edition->number} of {$edition->zone->name}";
            if (! $edition->isSound()) {
                $this->fault("{$name} is no longer what was published; its pages are taken away.");
                $site->takeAway($edition);
            } elseif ($edition->in_force_at !== null && $site->isBuilt($edition) && ($changed = $site->changedFiles($edition)) !== []) {
                $this->fault("{$name}: ".count($changed)." files are not as they were made ({$changed[0]}); they are made anew.");
                $site->takeAway($edition);
                RenderEditionJob::dispatch($edition->id);
            } elseif (SeasonPage::isChanged($edition)) {
                $this->fault("{$name}: what it says of this season is not as it was made; it is made anew.");
                SeasonPage::takeAway($edition);
                RenderSeasonJob::dispatch($edition->zone_id)->onQueue('sites');
            }
        }
        foreach (RecordImport::query()->select('checksum')->distinct()->pluck('checksum') as $checksum) {
            $looked['originals']++;
            $path = Storage::disk('originals')->path((string) $checksum);
            if (! is_file($path)) {
                $this->fault("The original {$this->short((string) $checksum)} is missing.");
            } elseif (hash_file('sha256', $path) !== $checksum) {
                $this->fault("The original {$this->short((string) $checksum)} is no longer what was brought.");
            }
        }
        $words = "{$looked['editions']} editions with their pages, {$looked['originals']} originals: "
            .($this->faults === [] ? 'all as they were' : count($this->faults).' faults. '.implode(' ', array_slice($this->faults, 0, self::TOLD)));
        Heartbeat::beat(Heartbeat::VERIFICATION, $this->faults === [], mb_substr($words, 0, 4000));
        $this->line($words);

        return $this->faults === [] ? self::SUCCESS : self::FAILURE;
    }

    private function fault(string $words): void
    {
        $this->faults[] = $words;
    }

    private function short(string $checksum): string
    {
        return substr($checksum, 0, 12);
    }
}
