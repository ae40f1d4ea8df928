<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** The documents of a calendar hold, number by number, what was looked through and kept. */
final class SheetsTest extends TestCase
{
    public function test_rulers_sheets_weeks_and_dossiers_are_as_they_were_kept(): void
    {
        self::assertSame(
            (string) @file_get_contents(Fixtures::path('sheets.txt')),
            Sheets::text(),
            'If this is meant, look the new text through and keep it: php core/tests/Calendar/sheets-told.php > core/tests/fixtures/sheets.txt',
        );
    }
}
