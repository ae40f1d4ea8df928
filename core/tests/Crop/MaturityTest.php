<?php

declare(strict_types=1);

namespace Anthesis\Tests\Crop;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\Emergence;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Tables\CropCsv;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MaturityTest extends TestCase
{
    #[TestWith(['replay-north.json'])]
    #[TestWith(['replay-south.json'])]
    public function test_growth_days_equal_the_reference_for_every_basis_and_route(string $file): void
    {
        foreach (Fixtures::json($file) as $case) {
            $crop = $this->like($case['parameters']);
            self::assertEqualsWithDelta(
                $case['growth_days_needed'],
                (new Maturity($crop))->growthDays(Route::from($case['route'])),
                1e-3,
                $case['crop'],
            );
        }
    }

    public function test_days_on_paper_add_emergence_only_where_it_happens_outdoors(): void
    {
        $broccoli = Fixtures::crops()->find('broccoli');
        self::assertNotNull($broccoli);
        $maturity = new Maturity($broccoli);
        self::assertEqualsWithDelta(58.0, $maturity->days(Route::Transplant), 1e-9);
        // 35 days under cover less emergence at 21 °C and the check of 7 days, and emergence outdoors at 18 °C
        $raised = 35 - $broccoli->emergence->daysAt(21.0) - 7;
        self::assertEqualsWithDelta(58 + $raised + $broccoli->emergence->daysAt(18.0), $maturity->days(Route::Direct), 1e-9);
    }

    public function test_emergence_is_linear_in_rate_and_stops_where_the_table_is_blank(): void
    {
        $bean = new Emergence([null, null, null, 16.0, 11.0, 8.0, 6.0, 6.0, null], 18);
        self::assertEqualsWithDelta((1 / 16 + 1 / 11) / 2, $bean->rateAt(17.5), 1e-12);
        self::assertEqualsWithDelta(0.5 / 16, $bean->rateAt(12.5), 1e-12, 'half-way to a blank');
        self::assertNull($bean->daysAt(10.0));
        self::assertNull($bean->daysAt(-3.0));
        self::assertSame(0.0, $bean->rateAt(40.0));
        self::assertSame(0.0, $bean->rateAt(45.0));
    }

    /** @param  array<string, mixed>  $p */
    private function like(array $p): Crop
    {
        $cells = [
            'max_emerge_days' => $p['max_emerge'],
            'maturity_days' => $p['dtm'],
            'maturity_basis' => $p['basis'],
            'indoor_c' => $p['indoor'],
            'transplant_check_days' => $p['check'],
            'ref_c' => $p['ref'],
            'seedling_weeks' => $p['seedling_days'] > 0 ? $p['seedling_days'] / 7 : '',
            'seedling_weeks_min' => '',
            'seedling_weeks_max' => '',
        ];
        foreach ($p['emerge'] as $i => $days) {
            $cells['em_'.Emergence::TEMPERATURES[$i]] = $days;
        }

        return CropSchema::crop(array_map('strval', $cells) + CropCsv::standardRows()['radish']);
    }

    public function test_what_is_never_raised_under_cover_brings_no_growth_from_there(): void
    {
        $row =
            [
                'maturity_basis' => 'transplant',
                'maturity_days' => '30',
                'seedling_weeks' => '',
                'seedling_weeks_min' => '',
                'seedling_weeks_max' => '',
            ] + CropCsv::standardRows()['radish'];
        self::assertSame(30.0, (new Maturity(CropSchema::crop($row)))->growthDays(Route::Direct));
    }
}
