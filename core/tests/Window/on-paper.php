<?php

declare(strict_types=1);

// Prints what OnPaperTest holds the windows against: php core/tests/Window/on-paper.php north > core/tests/fixtures/on-paper-north.txt

require dirname(__DIR__, 3).'/vendor/autoload.php';

echo Anthesis\Tests\Window\OnPaper::text($argv[1] ?? 'north');
