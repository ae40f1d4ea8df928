<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Edition;
use App\Gardener\EditionPages;
use App\Gardener\PublishedEdition;
use Illuminate\Console\Command;

/** Lists the address of every page of every edition that gardeners can read, so they can all be tried (bin/try-upgrade). */
class Addresses extends Command
{
    protected $signature = 'anthesis:addresses';

    protected $description = 'List the addresses of all public pages, one per line';

    public function handle(EditionPages $pages): int
    {
        $this->line('/');
        foreach (Edition::query()->with('zone')->whereNotNull('in_force_at')->orderBy('id')->lazy(5) as $edition) {
            $document = $edition->open();
            $isCurrent = $edition->zone->currentEdition?->id === $edition->id;
            foreach (EditionPages::readings($document) as $reading) {
                foreach (
                    [
                        PublishedEdition::base($edition->zone, $edition->number),
                        ...$isCurrent ? [PublishedEdition::base($edition->zone, null)] : [],
                    ] as $base
                ) {
                    foreach (
                        [
                            ...array_keys($pages->all($document, $base, $reading)),
                            'this-week',
                            'mine',
                            'calendar.ics',
                            'calendar.csv',
                            ...array_map(
                                static fn (string $sheet): string => "paper/{$sheet}?crop={$document->content['crops'][0]['slug']}",
                                EditionPages::SHEETS,
                            ),
                        ] as $path
                    ) {
                        $this->line($reading->prefix().rtrim("{$base}/{$path}", '/'));
                    }
                }
            }
        }

        return self::SUCCESS;
    }
}
