<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Every date, every line and every reason of some crops is as it was written down, and was looked through when it was. */
final class OnPaperTest extends TestCase
{
    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_windows_are_reached_as_written_down(string $station): void
    {
        $file = dirname(__DIR__)."/fixtures/on-paper-{$station}.txt";
        self::assertSame(
            (string) @file_get_contents($file),
            OnPaper::text($station),
            "If this is meant, look the new text through and keep it: php core/tests/Window/on-paper.php {$station} > {$file}",
        );
    }
}
