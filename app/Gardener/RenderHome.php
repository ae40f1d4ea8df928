<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\BoundariesChanged;

/** Makes the page again on which gardeners find their zone. */
final readonly class RenderHome
{
    public function __construct(private PublicSite $site)
    {
    }

    public function handle(BoundariesChanged $event): void
    {
        $this->site->home();
    }
}
