<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Record\YearDay;
use Anthesis\Window\BestSpan;
use Anthesis\Window\SowingWindow;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class BestSpanTest extends TestCase
{
    /** @param  list<float>  $expected  from sow day 361 on; @param  array{int, int}  $span */
    #[TestWith([[0.5, 0.8, 0.9, 1.0, 0.9, 0.89, 0.95], [363, 365]])]
    #[TestWith([[1.0, 0.5, 1.0, 1.0, 0.2, 0.2, 0.2], [361, 361]])]
    #[TestWith([[0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8], [367, 367]])]
    #[TestWith([[0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0], [361, 367]])]
    #[TestWith([[0.9, 0.9, 1.0, 0.9, 0.9, 0.9, 0.9], [361, 367]])]
    public function test_it_is_the_unbroken_days_about_the_first_best_with_nine_tenths_of_it(array $expected, array $span): void
    {
        $year = array_fill(0, 365, 1.0);
        foreach ($expected as $i => $share) {
            $year[YearDay::wrap(361 + $i)->number - 1] = $share;
        }
        $found = BestSpan::of(new SowingWindow(YearDay::wrap(361), YearDay::wrap(367)), $year);
        self::assertSame([YearDay::wrap($span[0])->iso(), YearDay::wrap($span[1])->iso()], [$found->first->iso(), $found->last->iso()]);
    }
}
