<?php

declare(strict_types=1);

namespace Anthesis\Tests\Tables;

use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Tables\CropParameters;
use Anthesis\Tables\FormatError;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CropParametersTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function tomato(): array
    {
        return Fixtures::json('replay-north.json')[4]['parameters'];
    }

    public function test_a_crop_is_read_from_its_short_keys_alone_or_within_a_worked_case(): void
    {
        $alone = CropParameters::fromJson((string) json_encode(self::tomato()));
        self::assertEquals($alone, CropParameters::fromJson((string) json_encode(Fixtures::json('replay-north.json')[4])));
        self::assertSame(
            [(float) self::tomato()['dtm'], (float) self::tomato()['ref'], null, null],
            [$alone->growth->maturityDays, $alone->growth->refC, $alone->bulb?->criticalDayHours, $alone->growth->chillDays],
        );
        self::assertEqualsWithDelta(self::tomato()['seedling_days'], 7 * ($alone->underCover->weeks->usual ?? 0), 1e-9);
        self::assertGreaterThan(0, (new Maturity($alone))->growthDays(Route::Transplant));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refusals(): iterable
    {
        $with = static fn (string $key, mixed $value): string => (string) json_encode([$key => $value] + self::tomato());
        yield 'not JSON' => ['radish', 'This is not JSON.'];
        yield 'a key missing' => [
            (string) json_encode(array_diff_key(self::tomato(), ['dtm' => 1])),
            'The crop lacks the parameter “dtm”.',
        ];
        yield 'a number as text' => [$with('ref', 'warm'), '“ref” is a number from 0 to 40; "warm" is not.'];
        yield 'out of range' => [$with('young', 3), '“young” is a number from 0 to 1; 3 is not.'];
        yield 'below its range' => [$with('young', -0.1), '“young” is a number from 0 to 1; −0.1 is not.'];
        yield 'temperatures that fall' => [
            $with('opt1', 44),
            '“opt1”: growth temperatures must rise: base, lower optimum, upper optimum, ceiling.',
        ];
        yield 'a basis of its own' => [$with('basis', 'moon'), '“basis” is one of: sowing, emergence, transplant.'];
        yield 'a short table' => [$with('emerge', [1, 2, 3]), '“emerge” is a list of nine numbers or nulls'];
        yield 'a table of words' => [$with('emerge', [null, null, 'x', 5, 5, 5, 5, null, null]), '“emerge” holds "x"'];
        yield 'a crop that never comes up' => [$with('emerge', array_fill(0, 9, null)), 'does not emerge at'];
    }

    #[DataProvider('refusals')]
    public function test_what_cannot_be_a_crop_is_refused_with_the_key(string $json, string $why): void
    {
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage($why);
        CropParameters::fromJson($json);
    }
}
