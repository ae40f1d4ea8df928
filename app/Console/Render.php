<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Edition;
use App\Gardener\PublicSite;
use App\Gardener\RenderEditionJob;
use Illuminate\Console\Command;

/** Has the pages made again of editions that another version of the program made, as after an update; current ones first. */
class Render extends Command
{
    protected $signature = 'anthesis:render';

    protected $description = 'Make the pages of editions again if the program has changed';

    public function handle(PublicSite $site): int
    {
        $editions = Edition::query()
            ->with('zone')
            ->orderByDesc('number')
            ->get()
            ->filter(static fn (Edition $e): bool => $e->isSound() && ! $site->isBuilt($e));
        foreach ($editions as $edition) {
            RenderEditionJob::dispatch($edition->id)->onQueue('sites');
        }
        if ($editions->isNotEmpty()) {
            $this->line("making the pages of {$editions->count()} editions again");
        }
        $site->turnWeek();
        $site->home();

        return self::SUCCESS;
    }
}
