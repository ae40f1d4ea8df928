<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\EditionReader;
use Anthesis\Messages\Words;
use Anthesis\Publishing\EditionICalendar;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;

/** An edition that was published before there were phrases still opens, and says what it said. */
final class EditionReaderTest extends TestCase
{
    private static function published(): string
    {
        return (string) file_get_contents(dirname(__DIR__).'/fixtures/edition-format-1.json');
    }

    public function test_an_edition_of_the_first_format_says_word_for_word_what_was_published(): void
    {
        $json = self::published();
        $old = json_decode($json, true);
        $edition = EditionReader::open($json, hash('sha256', $json));
        self::assertSame(
            [$json, hash('sha256', $json)],
            [$edition->json, $edition->checksum],
            'its text is the one that was sealed',
        );
        self::assertSame(self::sentences($old), self::sentences($edition->content));
        self::assertGreaterThan(60, count(self::sentences($old)));
    }

    public function test_acts_of_the_first_format_are_coded_and_all_else_is_as_it_was(): void
    {
        $old = json_decode(self::published(), true);
        $edition = EditionReader::open(self::published())->content;
        self::assertSame(
            ['sow-outdoors', 'set-out', 'plant'],
            array_values(
                array_unique(
                    array_merge(...array_map(static fn (array $c): array => array_column($c['routes'], 'act'), $edition['crops'])),
                ),
            ),
        );
        $acts = array_values(
            array_unique(
                array_merge(...array_map(static fn (array $w): array => array_column($w['tasks'], 'act'), $edition['weeks'])),
            ),
        );
        sort($acts);
        self::assertSame(['plant', 'set-out', 'sow-outdoors', 'start-under-cover'], $acts);
        foreach ($old['crops'] as $i => $crop) {
            foreach ($crop['routes'] as $j => $route) {
                $read = $edition['crops'][$i]['routes'][$j];
                foreach (['windows', 'fair', 'under_cover', 'harvests'] as $part) {
                    self::assertSame($route[$part], $read[$part]);
                }
                // What the program of then did not tell is there, and is nothing.
                self::assertSame(
                    array_map(static fn (array $e): array => $e + ['span' => null], $route['evidence'] ?? []),
                    $read['evidence'],
                );
                self::assertSame(
                    [[], null, [], null],
                    [
                        $read['chances'],
                        $read['no_window'],
                        $edition['crops'][$i]['varieties'],
                        $edition['crops'][$i]['also_called'],
                    ],
                );
            }
        }
        self::assertSame(
            [$old['zone'], $old['edition'], $old['record'], $old['ruler']['soil']],
            [$edition['zone'], $edition['edition'], $edition['record'], $edition['ruler']['soil']],
        );
    }

    public function test_its_feed_keeps_the_identities_it_had(): void
    {
        $feed = EditionICalendar::write(EditionReader::open(self::published()), Words::in('en'), 'https://x.example/zones/basin');
        foreach (
            [
                'basin-floor-radish-direct-sow-outdoors-1@anthesis',
                'basin-floor-kale-transplant-start-under-cover-1@anthesis',
                'basin-floor-potato-early-direct-plant-1@anthesis',
            ] as $uid
        ) {
            self::assertStringContainsString("\r\nUID:{$uid}\r\n", $feed);
        }
    }

    public function test_a_text_of_another_format_or_with_an_act_nobody_knows_is_refused(): void
    {
        foreach (
            [
                '{"format":"anthesis-edition-3"}' => 'not an edition of the format '.EditionDocument::FORMAT,
                str_replace('"act":"plant"', '"act":"throw"', self::published()) => '“throw” is no act',
                '{' => 'not JSON',
            ] as $text => $why
        ) {
            try {
                EditionReader::open($text);
                self::fail("{$why}: it was opened");
            } catch (InvalidArgumentException $error) {
                self::assertStringContainsString($why, $error->getMessage());
            }
        }
    }

    /**
     * @param  array<mixed>  $content
     * @return list<string> all that is said in it, as it is said
     */
    private static function sentences(array $content): array
    {
        $words = Words::in('en');
        $say = static fn (mixed $told): string => is_array($told) ? $words->phrase($told) : $told;
        $own = static fn (array $told): string => $say($told['in_words'] ?? $told['phrase']);
        $guidance = is_array($content['guidance']) ? array_map($say, $content['guidance']) : [$content['guidance']];
        foreach ($content['ruler']['freezes'] as $freezes) {
            array_push($guidance, $own($freezes), ...array_map($own, $freezes['last']), ...array_map($own, $freezes['first']));
        }
        foreach ($content['crops'] as $crop) {
            array_push($guidance, ...array_map($own, $crop['cautions']));
            foreach ($crop['routes'] as $route) {
                array_push($guidance, ...array_map($own, $route['reasons']));
                foreach ($route['derivation'] as $line) {
                    array_push($guidance, $say($line['label']), $say($line['source']));
                }
            }
        }

        return $guidance;
    }
}
