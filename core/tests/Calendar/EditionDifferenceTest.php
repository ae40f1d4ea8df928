<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\EditionDifference;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\EditionReader;
use Anthesis\Messages\Words;
use Anthesis\Tests\Publishing\EditionFormatsTest;
use PHPUnit\Framework\TestCase;

/**
 * @phpstan-import-type Document from EditionDocument
 * @phpstan-import-type Change from EditionDifference
 * @phpstan-import-type Span from \Anthesis\Calendar\CropSheet
 */
final class EditionDifferenceTest extends TestCase
{
    private const SPRING = ['first' => '04-10', 'last' => '05-20', 'days' => 41];

    private const AUTUMN = ['first' => '08-01', 'last' => '09-01', 'days' => 32];

    /**
     * @param  array<string, list<Span>>  $windows  by crop, of its first route
     * @param  array<string, mixed>  $with
     * @return Document
     */
    private function edition(array $windows, array $with = []): array
    {
        $content = EditionFormatsTest::edition('north', array_keys($windows))->content;
        foreach ($content['crops'] as $i => $sheet) {
            $content['crops'][$i]['routes'][0]['windows'] = $windows[$sheet['slug']];
        }

        /** @var Document $edition */
        $edition = array_replace_recursive($content, $with);

        return $edition;
    }

    /**
     * @param  Document  $before
     * @param  Document  $now
     * @return list<array{string, string, int, string}> crop, kind, size, and in words
     */
    private function told(array $before, array $now): array
    {
        return array_map(
            static fn (array $c): array => [$c['crop'], $c['kind'], $c['size'], Words::in('en')->phrase($c['phrase'])],
            EditionDifference::between($before, $now),
        );
    }

    public function test_what_is_the_same_is_not_told(): void
    {
        self::assertSame(
            [],
            EditionDifference::between(
                $this->edition(['radish' => [self::SPRING]]),
                $this->edition(['radish' => [self::SPRING]], ['record' => ['checksum' => 'another']]),
            ),
        );
    }

    public function test_what_waits_for_the_soil_is_told_apart_from_the_method_and_the_crops_numbers(): void
    {
        $source = ['key' => 'source.held-before'];
        $line = ['key' => 'first', 'label' => ['key' => 'x'], 'date' => '05-01', 'days' => null, 'source' => $source];
        $now = $this->edition(['radish' => [self::SPRING], 'kale' => [self::SPRING]], ['method' => ['waits_for_soil' => true]]);
        $now['crops'][0]['routes'][0]['derivation'] = [$line];
        $later = $now;
        unset($later['method']['waits_for_soil']);
        $before = $this->edition(['radish' => [self::AUTUMN], 'kale' => [self::AUTUMN]], ['method' => ['edition' => 2]]);
        unset($before['method']['waits_for_soil']);
        $why = array_column(EditionDifference::between($before, $now), 'why', 'crop');
        self::assertContains('soil-hold', $why['radish']);
        self::assertContains('method', $why['radish']);
        self::assertNotContains('soil-hold', $why['kale'], 'its windows are bounded by something else');
        $same = array_column(EditionDifference::between($before, $later), 'why', 'crop');
        self::assertNotContains('soil-hold', $same['radish'], 'neither waits');
        $none = $now;
        $none['crops'][1]['routes'][0]['windows'] = [];
        $none['crops'][1]['routes'][0]['no_window'] = ['reason' => 'soil-below-minimum'];
        self::assertContains('soil-hold', array_column(EditionDifference::between($before, $none), 'why', 'crop')['kale']);
        // Waiting for ground that can be worked is another choice, and another source.
        $wet = $now;
        $wet['method'] = ['waits_for_ground' => true];
        $wet['crops'][0]['routes'][0]['derivation'][0]['source'] = ['key' => 'source.wet-before'];
        $why = array_column(EditionDifference::between($before, $wet), 'why', 'crop');
        self::assertSame(['ground-hold'], array_values(array_diff($why['radish'], $why['kale'])));
    }

    public function test_crops_come_and_go_and_windows_open_close_and_move(): void
    {
        $later = ['first' => '04-13', 'last' => '05-20', 'days' => 38];
        self::assertSame(
            [
                [
                    'carrot',
                    'opened',
                    365,
                    'Carrot, sow outdoors: now has a window, 10 April to 20 May and 1 August to 1 September.',
                ],
                ['dill', 'new', 365, 'Dill is new.'],
                ['parsnip', 'closed', 365, 'Parsnip, sow outdoors: no longer has a window; it was 10 April to 20 May.'],
                ['turnip', 'gone', 365, 'Turnip is no longer in the calendar.'],
                ['radish', 'moved', 3, 'Radish, sow outdoors: 3 days later to open; now 13 April to 20 May.'],
            ],
            $this->told(
                $this->edition([
                    'radish' => [self::SPRING],
                    'carrot' => [],
                    'parsnip' => [self::SPRING],
                    'turnip' => [self::SPRING],
                ]),
                $this->edition([
                    'radish' => [$later],
                    'carrot' => [self::SPRING, self::AUTUMN],
                    'parsnip' => [],
                    'dill' => [self::SPRING],
                ]),
            ),
        );
    }

    public function test_a_move_is_as_large_as_its_larger_shift_or_the_days_won_and_lost(): void
    {
        $size = fn (array ...$now): int => $this->told(
            $this->edition(['radish' => [self::SPRING]]),
            $this->edition(['radish' => array_values($now)]),
        )[0][2];
        self::assertSame(10, $size(['first' => '04-20', 'last' => '05-30', 'days' => 41]), 'as long, ten days later');
        self::assertSame(5, $size(['first' => '04-10', 'last' => '05-25', 'days' => 46]));
        self::assertSame(5, $size(['first' => '04-10', 'last' => '05-15', 'days' => 36]));
        self::assertSame(
            7,
            $size(['first' => '04-08', 'last' => '05-13', 'days' => 36]),
            'two earlier to open, seven shorter at the end',
        );
        self::assertSame(324, $size(['first' => '07-14', 'last' => '07-13', 'days' => 365]), 'all year');
    }

    public function test_a_window_cut_in_two_is_told_as_that(): void
    {
        $parts = [['first' => '04-10', 'last' => '04-25', 'days' => 16], ['first' => '05-01', 'last' => '05-20', 'days' => 20]];
        self::assertSame(
            [
                [
                    'radish',
                    'moved',
                    5,
                    'Radish, sow outdoors: as before at both ends, and other days in between; now 10 April to 25 April and 1 May to 20 May.',
                ],
            ],
            $this->told($this->edition(['radish' => [self::SPRING]]), $this->edition(['radish' => $parts])),
        );
    }

    public function test_it_says_because_of_what(): void
    {
        $before = $this->edition(['radish' => [self::SPRING]], ['crop_numbers' => ['radish' => 'a']]);
        $why = fn (array $with): array => EditionDifference::between(
            $before,
            $this->edition(['radish' => [self::AUTUMN]], $with),
        )[0]['why'];
        self::assertSame([], $why(['crop_numbers' => ['radish' => 'a']]));
        self::assertSame(['crop-numbers'], $why(['crop_numbers' => ['radish' => 'b']]));
        self::assertSame([], $why([]), 'numbers that were not kept are not held to be others');
        self::assertSame(
            ['crop-numbers', 'record', 'method'],
            $why(['crop_numbers' => ['radish' => 'b'], 'record' => ['checksum' => 'x'], 'method' => ['spring_risk' => 0.2]]),
        );
        self::assertSame(
            ['own-dates'],
            $why(['crops' => [['school' => 'own']], 'record' => ['checksum' => 'x']]),
            'own dates hang on nothing else',
        );
        self::assertSame(['school'], $why(['crops' => [['school' => 'replay']]]));
        $own = $this->edition(['radish' => [self::SPRING]], ['crops' => [['school' => 'own']]]);
        self::assertSame(
            ['own-dates'],
            EditionDifference::between($own, $this->edition(['radish' => [self::AUTUMN]], ['crops' => [['school' => 'own']]]))[0][
                'why'
            ],
        );
    }

    public function test_it_stands_in_the_edition_and_does_not_make_it_another(): void
    {
        $first = EditionFormatsTest::edition('north', ['radish', 'kale']);
        $content = $first->content;
        $content['changes'] = [
            'against' => 2,
            'list' => EditionDifference::between($this->edition(['radish' => [self::SPRING]]), $first->content),
        ];
        $content['crop_numbers'] = ['radish' => 'x'];
        $json = json_encode($content, JSON_THROW_ON_ERROR);
        $second = EditionReader::open($json);
        self::assertSame('new', array_column($second->content['changes']['list'] ?? [], 'kind', 'crop')['kale'] ?? null);
        self::assertTrue($second->saysTheSameAs($first));
    }
}
