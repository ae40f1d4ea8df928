<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\EditionDocument;
use PHPUnit\Framework\TestCase;

final class EditionTextsTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function content(): array
    {
        $line = static fn (string $key, array $with, array $source = []): array => [
            'label' => ['key' => $key, 'with' => $with],
            'source' => ['key' => 'source.replay', 'with' => $source],
        ];

        return [
            'zone' => ['district' => 'Basin'],
            'edition' => ['note' => 'First.'],
            'crops' => [
                [
                    'name' => 'Kale',
                    'notes' => 'Sweeter after frost.',
                    'also_called' => 'borecole',
                    'routes' => [
                        [
                            'derivation' => [
                                $line('derivation.own', ['author' => 'W', 'reason' => 'We sow together.']),
                                $line('derivation.first', ['reason' => 'no']),
                                $line('x', [], ['site' => 'open ground']),
                            ],
                        ],
                    ],
                ],
                ['name' => 'Radish', 'notes' => null, 'routes' => [['derivation' => [$line('x', [], ['site' => 'open ground'])]]]],
            ],
        ];
    }

    public function test_what_people_wrote_is_found_for_translators_each_once(): void
    {
        self::assertSame(
            ['Basin', 'First.', 'Kale', 'Sweeter after frost.', 'borecole', 'We sow together.', 'open ground', 'Radish'],
            EditionDocument::texts(self::content()),
        );
    }

    public function test_a_notice_stands_beside_the_text_and_changes_nothing_of_it(): void
    {
        $edition = EditionDocument::frozen(self::content(), '{}');
        $withdrawn = $edition->withNotice(['on' => '2026-05-01', 'reason' => 'A wrong station.']);
        self::assertNull($edition->notice);
        self::assertSame('A wrong station.', $withdrawn->notice['reason'] ?? null);
        self::assertSame(
            [$edition->json, $edition->checksum, $edition->content],
            [$withdrawn->json, $withdrawn->checksum, $withdrawn->content],
        );
    }
}
