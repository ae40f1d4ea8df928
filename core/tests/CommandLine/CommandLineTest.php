<?php

declare(strict_types=1);

namespace Anthesis\Tests\CommandLine;

use Anthesis\CommandLine\Application;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CommandLineTest extends TestCase
{
    private function json(string ...$arguments): mixed
    {
        [$exit, $text] = (new Application())->run(array_values($arguments));
        self::assertSame(0, $exit, $text);

        return json_decode($text, true, 64, JSON_THROW_ON_ERROR);
    }

    public function test_sun(): void
    {
        $days = $this->json('sun', '--latitude', '-38.3');
        self::assertCount(365, $days);
        foreach ($days as $day) {
            self::assertEquals(array_map(static fn (float $value): float => round($value, 4), $day), $day, 'to four decimals');
        }
        foreach (Fixtures::json('sun.json') as $case) {
            if ($case['latitude'] === -38.3) {
                self::assertEqualsWithDelta($case['day_length'], $days[$case['sow_day'] - 1]['day_length'], 1e-3);
                self::assertSame($case['sow_day'], $days[$case['sow_day'] - 1]['sow_day']);
            }
        }
    }

    public function test_freezes_have_the_keys_of_the_reference(): void
    {
        $freezes = $this->json('freezes', '--record', Fixtures::path('station-north.csv'), '--latitude=46.8');
        $expected = Fixtures::json('freezes-north.json');
        self::assertSame(array_keys($expected), array_keys($freezes));
        self::assertSame($expected['hardiness'], $freezes['hardiness']);
        foreach ($expected['thresholds'] as $i => $threshold) {
            $actual = $freezes['thresholds'][$i];
            self::assertCount(366, $actual['risk_of_freeze_on_or_after']);
            $actual['risk_of_freeze_on_or_after'] = array_intersect_key(
                $actual['risk_of_freeze_on_or_after'],
                $threshold['risk_of_freeze_on_or_after'],
            );
            self::assertEquals($threshold, $actual);
        }
        $some = $this->json(
            'freezes',
            '--record',
            Fixtures::path('station-north.csv'),
            '--latitude',
            '46.8',
            '--years',
            '2003-2005',
        );
        self::assertSame([2003, 2004, 2005], array_column($some['thresholds'][0]['seasons'], 'season'));
    }

    public function test_soil(): void
    {
        $soil = $this->json('soil', '--record', Fixtures::path('station-south.csv'), '--latitude', '-38.3', '--site', 'low tunnel');
        $expected = Fixtures::json('soil-south.json')['sites']['low tunnel'];
        foreach ($expected['daily_mean'] as $day => $celsius) {
            self::assertEqualsWithDelta($celsius, $soil['daily_mean'][$day], 1.1e-3);
        }
        self::assertCount(365, $soil['normals']);
        self::assertSame($expected['site'], array_intersect_key($soil['site'], $expected['site']));
    }

    public function test_windows_in_three_formats(): void
    {
        $base = ['windows', '--record', Fixtures::path('station-north.csv'), '--latitude', '46.8', '--school', 'count-back'];
        $rows = $this->json(...$base);
        self::assertCount(152, $rows);
        self::assertSame(
            ['radish', 'direct', '03-25', '09-08'],
            [$rows[0]['crop'], $rows[0]['route'], $rows[0]['windows'][0]['first'], $rows[0]['windows'][0]['last']],
        );
        self::assertSame('last-freeze', $rows[0]['derivation'][0]['key']);
        [, $csv] = (new Application())->run([...$base, '--format', 'csv']);
        self::assertStringContainsString('radish,Radish,direct,"sow outdoors",03-25,09-08', $csv);
        [, $text] = (new Application())->run([...$base, '--format', 'text', '--risk', '0.1']);
        self::assertMatchesRegularExpression('/^Radish +sow outdoors +04-12 to /m', $text);
    }

    public function test_replay_prints_every_run_and_takes_a_crop_of_the_table_or_of_a_file(): void
    {
        $case = Fixtures::json('replay-south.json')[0];
        $file = (string) tempnam(sys_get_temp_dir(), 'crop');
        file_put_contents($file, json_encode($case['parameters']));
        $base = ['replay', '--record', Fixtures::path('station-south.csv'), '--latitude', '-38.3'];
        [$code, $out] = (new Application())->run([...$base, '--crop-file', $file, '--route', 'direct']);
        unlink($file);
        $replay = json_decode($out, true);
        self::assertSame(0, $code);
        self::assertEqualsWithDelta($case['growth_days_needed'], $replay['growth_days_needed'], 1e-3);
        self::assertContains(['2000-04-01', ...array_slice($case['sow_days']['91'][1], 1)], $replay['runs']);
        self::assertCount(365, $replay['reliability']);
        self::assertEquals($case['windows'], $replay['windows']);

        [, $out] = (new Application())->run([
            ...$base,
            '--crop',
            'radish',
            '--years',
            '2001-2003',
            '--light',
            'none',
            '--site',
            'low tunnel',
        ]);
        self::assertSame(
            ['2001', '2002', '2003'],
            array_values(
                array_unique(array_map(static fn (array $run): string => substr($run[0], 0, 4), json_decode($out, true)['runs'])),
            ),
        );
        foreach (
            [
                ['--crop', 'unicorn'],
                [],
                ['--crop', 'radish', '--route', 'swim'],
                ['--crop', 'radish', '--light', 'moon'],
                ['--crop-file', '/nowhere'],
            ] as $options
        ) {
            self::assertSame(2, (new Application())->run([...$base, ...$options])[0]);
        }
    }

    public function test_succession_prints_sowings_for_an_even_harvest(): void
    {
        $case = Fixtures::json('succession-north.json')[3];
        $crop = (string) tempnam(sys_get_temp_dir(), 'crop');
        file_put_contents($crop, json_encode($case['parameters']));
        $base = [
            'succession',
            '--record',
            Fixtures::path('station-north.csv'),
            '--latitude',
            '46.8',
            '--crop-file',
            $crop,
            '--route',
            'direct',
            '--from',
            '03-01',
        ];
        $sowings = json_decode((new Application())->run([...$base, '--until', '200'])[1], true);
        self::assertSame(['sow' => '05-09', 'first' => 148, 'last' => 168], $sowings[0]);
        self::assertSame(array_column($case['sowings'], 1), array_column($sowings, 'first'));
        self::assertCount(0, json_decode((new Application())->run([...$base, '--until', '68'])[1], true));
        self::assertCount(
            1,
            json_decode((new Application())->run([...$base, '--until', '69'])[1], true),
            'the last day asked for is one to sow on',
        );
        self::assertGreaterThan(
            3,
            count(json_decode((new Application())->run([...$base, '--until', '200', '--standard', '0.6'])[1], true)),
        );
        $all = (new Application())->run([...$base, '--until', '200', '--years', '1990-2030']);
        self::assertSame($sowings, json_decode($all[1], true), 'all years are what there is without them');
        $few = json_decode((new Application())->run([...$base, '--until', '200', '--years', '2001-2004'])[1], true);
        self::assertNotSame($sowings, $few, 'a few years give other sowings');
        self::assertSame(
            [2, "--until is a count of days from 0 to 365; “366” is not.\n"],
            (new Application())->run([...$base, '--until', '366']),
        );
        unlink($crop);
    }

    public function test_season_prints_each_member_with_and_without_an_outlook(): void
    {
        $cases = Fixtures::json('season-north.json');
        [$file, $outlook] = [(string) tempnam(sys_get_temp_dir(), 'record'), (string) tempnam(sys_get_temp_dir(), 'outlook')];
        file_put_contents(
            $file,
            array_filter(
                file(Fixtures::path('station-north.csv')) ?: [],
                static fn (string $line): bool => $line < '2012-08-04' || ! ctype_digit($line[0]),
            ),
        );
        $days = "date,tmin_c,tmax_c\n";
        foreach ($cases[1]['outlook'] as $i => [$minimum, $maximum]) {
            $days .= Day::of(2012, 8, 4 + $i)->iso().",{$minimum},{$maximum}\n";
        }
        file_put_contents($outlook, $days);
        $crop = (string) tempnam(sys_get_temp_dir(), 'crop');
        file_put_contents($crop, json_encode($cases[0]['parameters']));
        $base = [
            'season',
            '--record',
            $file,
            '--latitude',
            '46.8',
            '--crop-file',
            $crop,
            '--route',
            'direct',
            '--sown',
            '2012-07-14',
        ];
        self::assertSame($cases[0]['members'], json_decode((new Application())->run($base)[1], true)['members']);
        self::assertSame(
            $cases[1]['members'],
            json_decode((new Application())->run([...$base, '--outlook', $outlook])[1], true)['members'],
        );
        self::assertSame(
            ['2001', '2002'],
            array_map(
                strval(...),
                array_keys(json_decode((new Application())->run([...$base, '--years', '2001-2002'])[1], true)['members']),
            ),
        );
        self::assertSame(
            [2, "--sown is a date from 2011-07-01 to 2012-12-31; 2013-01-01 is not.\n"],
            (new Application())->run([...array_slice($base, 0, -1), '2013-01-01']),
        );
        $one = json_decode((new Application())->run([...$base, '--years', '2002-2002'])[1], true)['members'];
        self::assertSame([2002], array_keys($one));
        $edges = array_map(
            static fn (string $sown): int => (new Application())->run([...array_slice($base, 0, -1), $sown])[0],
            ['2011-06-30', '2011-07-01', '2012-12-31'],
        );
        self::assertSame([2, 0, 0], $edges);
        file_put_contents($outlook, str_replace('2012-08', '2012-09', $days));
        self::assertSame(
            [2, "The outlook begins on 2012-09-04, but the record ends on 2012-08-03; it must go on the day after.\n"],
            (new Application())->run([...$base, '--outlook', $outlook]),
        );
        array_map(unlink(...), [$file, $outlook, $crop]);
    }

    public function test_windows_come_from_the_replay_at_the_standard_asked_for(): void
    {
        $base = ['windows', '--record', Fixtures::path('station-north.csv'), '--latitude', '46.8'];
        $days = function (string $standard) use ($base): int {
            $rows = json_decode((new Application())->run([...$base, '--school', 'replay', '--standard', $standard])[1], true);
            self::assertSame(['replay', 'direct'], [$rows[0]['school'], $rows[0]['route']]);

            return array_sum(array_column($rows[0]['windows'], 'days'));
        };
        self::assertGreaterThan($days('0.9'), $days('0.6'));
        self::assertSame(2, (new Application())->run([...$base, '--standard', '80'])[0]);
    }

    public function test_raw_windows_are_those_the_replay_prints(): void
    {
        $of = ['--record', Fixtures::path('station-north.csv'), '--latitude', '46.8'];
        $days = static fn (array $windows): array => array_map(static fn (array $w): array => [$w['first'], $w['last']], $windows);
        $sown = fn (string ...$more): array => array_column(
            array_filter(
                $this->json('windows', ...[...$of, '--school', 'replay', ...$more]),
                static fn (array $row): bool => $row['route'] === 'direct',
            ),
            null,
            'crop',
        );
        [$raw, $printed] = [$sown('--raw'), $sown()];
        // One loses a sliver in print, the other waits for its soil.
        foreach (['mustard-greens' => 4, 'parsnip' => 1] as $crop => $count) {
            $replay = $this->json('replay', ...[...$of, '--crop', $crop, '--route', 'direct']);
            $own = array_map(
                static fn (array $w): array => array_map(static fn (int $day): string => YearDay::fromNumber($day)->iso(), $w),
                $replay['windows']['0.8'],
            );
            self::assertCount($count, $own);
            self::assertSame($own, $days($raw[$crop]['windows']), $crop);
            self::assertNotSame($own, $days($printed[$crop]['windows']), $crop);
        }
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function refused(): iterable
    {
        $north = Fixtures::path('station-north.csv');
        yield 'nothing' => [
            [],
            'A command is needed; there are: sun, freezes, soil, replay, left, season, succession, windows, water, irrigation, '.
                'verification.',
        ];
        yield 'unknown command' => [['moon'], 'There is no command “moon”'];
        yield 'unknown option' => [['sun', '--height', '3'], 'There is no option --height here; there are: --latitude.'];
        yield 'not an option' => [['sun', '46.8'], '“46.8” is not an option'];
        yield 'no value' => [['sun', '--latitude'], 'The option --latitude needs a value.'];
        yield 'needed' => [['sun'], 'The option --latitude is needed.'];
        yield 'latitude 95' => [
            ['sun', '--latitude', '95'],
            '--latitude: A latitude lies between −90 and 90 degrees; 95 does not.',
        ];
        yield 'latitude in words' => [['sun', '--latitude', 'north'], '--latitude is a number; “north” is not.'];
        yield 'no file' => [
            ['freezes', '--record', '/nowhere.csv', '--latitude', '5'],
            'There is no file “/nowhere.csv” to read a record from.',
        ];
        yield 'no record' => [['freezes', '--record', Fixtures::path('sun.json'), '--latitude', '5'], 'sun.json: Line 1:'];
        yield 'years' => [['freezes', '--record', $north, '--latitude', '5', '--years', '2010'], '--years is written as 1991-2020'];
        yield 'no season' => [
            ['freezes', '--record', $north, '--latitude', '5', '--years', '1950-1960'],
            'no complete cold season',
        ];
        yield 'site' => [['soil', '--record', $north, '--latitude', '5', '--site', 'attic'], '--site: There is no site “attic”'];
        yield 'depth' => [
            ['soil', '--record', $north, '--latitude', '5', '--depth', '9'],
            '--depth is a number of metres from 0 to 3',
        ];
        yield 'risk' => [['windows', '--record', $north, '--latitude', '5', '--risk', '2'], '--risk: A risk lies between 0 and 1'];
        yield 'school' => [
            ['windows', '--record', $north, '--latitude', '5', '--school', 'hunch'],
            '--school is one of replay, count-back; “hunch” is not.',
        ];
        yield 'crop table' => [
            ['windows', '--record', $north, '--latitude', '5', '--crops', $north],
            'Line 1: the crop table lacks the columns “slug”',
        ];
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('refused')]
    public function test_bad_input_is_one_sentence_and_exit_2(array $arguments, string $message): void
    {
        [$exit, $text] = (new Application())->run($arguments);
        self::assertSame(2, $exit);
        self::assertStringContainsString($message, $text);
        self::assertSame(1, substr_count($text, "\n"));
    }

    public function test_the_program_itself_needs_nothing_but_php(): void
    {
        $program = dirname(__DIR__, 2).'/bin/anthesis';
        exec(
            escapeshellarg(PHP_BINARY).
                ' '.
                escapeshellarg($program).
                ' windows --record - --latitude 46.8 --format text < '.
                escapeshellarg(Fixtures::path('station-north.csv')),
            $lines,
            $exit,
        );
        self::assertSame(0, $exit);
        self::assertStringStartsWith('Radish', $lines[0]);
        exec(escapeshellarg(PHP_BINARY).' '.escapeshellarg($program).' sun --latitude 95 2>&1 >/dev/null', $errors, $exit);
        self::assertSame([2, '--latitude: A latitude lies between −90 and 90 degrees; 95 does not.'], [$exit, $errors[0]]);
    }

    public function test_a_replay_tells_what_to_expect_and_how_many_packet_days_are_left(): void
    {
        $case = Fixtures::json('left-north.json')[2];
        $file = (string) tempnam(sys_get_temp_dir(), 'crop');
        file_put_contents($file, json_encode($case));
        $place = [
            '--record',
            Fixtures::path('station-north.csv'),
            '--latitude',
            '46.8',
            '--crop-file',
            $file,
            '--route',
            $case['route'],
            '--site',
            $case['site'],
        ];
        $replay = $this->json('replay', ...$place);
        self::assertCount(365, $replay['expected_harvest']);
        self::assertCount(count($replay['windows']['0.8']), $replay['best']['0.8']);
        foreach ($case['packet_days'] as $day => $days) {
            self::assertSame(
                ['packet_days' => $days],
                $this->json('left', '--day', YearDay::fromNumber((int) $day)->iso(), ...$place),
            );
        }
        [$exit, $text] = (new Application())->run(['left', '--day', '02-30', ...$place]);
        unlink($file);
        self::assertSame([2, "--day: “02-30” is not a day of the year written as MM-DD.\n"], [$exit, $text]);
    }
}
