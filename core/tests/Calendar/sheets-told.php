<?php

declare(strict_types=1);

// Prints what SheetsTest holds the calendar's documents against: php core/tests/Calendar/sheets-told.php > core/tests/fixtures/sheets.txt

require dirname(__DIR__, 3).'/vendor/autoload.php';

echo Anthesis\Tests\Calendar\Sheets::text();
