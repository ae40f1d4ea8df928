<?php

declare(strict_types=1);

namespace App\Console;

use App\Desk\SendDigests;
use Illuminate\Console\Command;

/** E-mails those who want it what needs their attention today. */
class Digests extends Command
{
    protected $signature = 'anthesis:digests';

    protected $description = 'E-mail people who want it what needs their attention today';

    public function handle(SendDigests $digests): int
    {
        $this->line("digests written: {$digests->execute()}");

        return self::SUCCESS;
    }
}
