<?php

declare(strict_types=1);

namespace App\Console;

use App\Letters\SendLetters;
use Illuminate\Console\Command;

/** Sends this week's newsletter to everyone who is due one. */
class Letters extends Command
{
    protected $signature = 'anthesis:letters';

    protected $description = 'Send the newsletter to everyone who is due one';

    public function handle(SendLetters $letters): int
    {
        $this->line("letters written: {$letters->execute()}");

        return self::SUCCESS;
    }
}
