<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Windows\PackedRibbon;
use PHPUnit\Framework\TestCase;

final class PackedRibbonTest extends TestCase
{
    public function test_runs_of_years_are_packed_as_the_browser_reads_them(): void
    {
        $harvest = [...array_fill(0, 315, 0), ...array_fill(0, 50, 29)];
        $heat = [...array_fill(0, 315, 29), ...array_fill(0, 50, 0)];
        $packed = PackedRibbon::of(['years' => 29, 'outcomes' => ['harvest' => $harvest, 'heat' => $heat]]);
        self::assertSame(['years' => 29, 'width' => 1, 'outcomes' => ['harvest' => 'A_A_A_A_A_dy', 'heat' => 'd_d_d_d_d_Ay']], $packed);
    }

    public function test_many_years_take_two_digits(): void
    {
        self::assertSame(
            ['years' => 130, 'width' => 2, 'outcomes' => ['harvest' => 'CCBBAB']],
            PackedRibbon::of(['years' => 130, 'outcomes' => ['harvest' => [130, 64]]]),
        );
        self::assertSame(1, PackedRibbon::of(['years' => 63, 'outcomes' => ['harvest' => [63]]])['width']);
        self::assertSame(2, PackedRibbon::of(['years' => 64, 'outcomes' => ['harvest' => [64]]])['width']);
    }
}
