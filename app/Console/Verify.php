<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Edition;
use App\Gardener\PublicSite;
use App\Gardener\RenderEditionJob;
use App\Gardener\RenderSeasonJob;
use App\Gardener\SeasonPage;
use App\Log\LogImport;
use App\Log\LogPhoto;
use App\Operations\FileStore;
use App\Operations\Heartbeat;
use App\People\ChangeChain;
use App\Stations\RecordImport;
use Illuminate\Console\Command;
use Illuminate\Support\Collection;

/**
 * Compares everything that must not change unnoticed with its fingerprint and seal: editions, their pages, originals, photos, and changes.
 */
class Verify extends Command
{
    private const TOLD = 20;

    protected $signature = 'anthesis:verify';

    protected $description = 'Check the seals of editions, their pages, the originals of station files, and the chain of changes';

    /** @var list<string> */
    private array $faults = [];

    public function handle(PublicSite $site, ChangeChain $chain): int
    {
        $this->faults = [];
        $looked = ['editions' => 0];
        foreach (Edition::query()->with('zone')->orderBy('id')->lazy(20) as $edition) {
            $looked['editions']++;
            $this->edition($edition, $site);
        }
        $looked['originals'] = $this->files(
            FileStore::on('originals'),
            RecordImport::query()
                ->distinct()
                ->pluck('checksum')
                ->concat(LogImport::query()->distinct()->pluck('checksum'))
                ->unique(),
            '',
            'original',
        );
        $looked['photos'] = $this->files(FileStore::on(LogPhoto::DISK), LogPhoto::query()->pluck('checksum'), '.jpg', 'photo');
        array_push($this->faults, ...$chain->faults());
        $words =
            "{$looked['editions']} editions with their pages, {$looked['originals']} originals, {$looked['photos']} photos, ".
            "{$chain->length()} changes: ".
            ($this->faults === []
                ? 'all unchanged'
                : count($this->faults).' faults. '.implode(' ', array_slice($this->faults, 0, self::TOLD)));
        Heartbeat::beat(Heartbeat::VERIFICATION, $this->faults === [], mb_substr($words, 0, 4000));
        $this->line($words);

        return $this->faults === [] ? self::SUCCESS : self::FAILURE;
    }

    /** Checks an edition and its pages; what can be made again is. */
    private function edition(Edition $edition, PublicSite $site): void
    {
        $name = "Edition {$edition->number} of {$edition->zone->name}";
        if (! $edition->isSound()) {
            $this->fault("{$name} is no longer what was published, so its pages were removed.");
            $site->takeAway($edition);
        } elseif ($edition->in_force_at !== null && $site->isBuilt($edition) && ($changed = $site->changedFiles($edition)) !== []) {
            $this->fault("{$name}: ".count($changed)." files differ from what was made ({$changed[0]}); they are being made again.");
            $site->takeAway($edition);
            RenderEditionJob::dispatch($edition->id);
        } elseif ($edition->in_force_at !== null && ($failed = $site->failedPages($edition)) !== []) {
            $this->fault(
                "{$name}: ".
                    count($failed).
                    ' pages cannot be made by this version of the program ('.
                    array_key_first($failed).
                    ': '.
                    array_values($failed)[0].
                    ').',
            );
        } elseif (SeasonPage::isChanged($edition)) {
            $this->fault("{$name}: its page about this season was altered; it is being made again.");
            SeasonPage::takeAway($edition);
            RenderSeasonJob::dispatch($edition->zone_id)->onQueue('sites');
        }
    }

    private function fault(string $words): void
    {
        $this->faults[] = $words;
    }

    /**
     * @param  Collection<int, mixed>  $checksums
     * @return int how many were checked
     */
    private function files(FileStore $store, Collection $checksums, string $suffix, string $what): int
    {
        foreach ($checksums as $checksum) {
            $checksum = (string) $checksum;
            if (! $store->has($checksum, $suffix)) {
                $this->fault("The {$what} {$this->short($checksum)} is missing.");
            } elseif (! $store->isWhole($checksum, $suffix)) {
                $this->fault("The {$what} {$this->short($checksum)} is not what was uploaded.");
            }
        }

        return $checksums->count();
    }

    private function short(string $checksum): string
    {
        return substr($checksum, 0, 12);
    }
}
