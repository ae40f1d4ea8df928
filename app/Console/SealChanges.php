<?php

declare(strict_types=1);

namespace App\Console;

use App\People\ChangeChain;
use Illuminate\Console\Command;

/** Seals the changes made since the last time. */
class SealChanges extends Command
{
    protected $signature = 'anthesis:seal-changes';

    protected $description = 'Seal new changes into the chain that anthesis:verify checks';

    public function handle(ChangeChain $chain): int
    {
        $this->line("{$chain->seal()} changes were sealed.");

        return self::SUCCESS;
    }
}
