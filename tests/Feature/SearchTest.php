<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** One list of names for the public search, the desk, and the log on a phone. */
final class SearchTest extends TestCase
{
    protected ?array $book = ['radish', 'kale', 'pak-choi', 'parsnip', 'potato-early', 'potato-main', 'summer-squash', 'sweet-potato'];

    public function test_a_search_finds_by_any_name_and_what_is_called_so_before_what_is_a_slip_away(): void
    {
        $this->zoneInPrint();
        $crops = function (string $for, string $reading = ''): array {
            preg_match_all(
                '#/crops/([a-z0-9-]+)"#',
                (string) $this->get("{$reading}/search?for=".rawurlencode($for))
                    ->assertOk()
                    ->getContent(),
                $found,
            );

            return array_values(array_unique($found[1]));
        };
        foreach (['', '/es'] as $reading) {
            self::assertSame(['potato-early', 'potato-main'], $crops('papa', $reading));
            self::assertSame(['potato-early'], $crops('papa temprana', $reading));
            self::assertSame(['summer-squash'], $crops('zucchini', $reading));
        }
        $names = array_column($this->getJson('/api/crops')->json('data'), 'names', 'slug');
        self::assertContains('zucchini', $names['summer-squash']);
        self::assertContains('papa temprana', $names['potato-early']);
        self::assertSame(
            $names['potato-early'],
            array_column($this->getJson('/api/zones/test-basin/log-book')->json('data.crops'), 'names', 'slug')['potato-early'],
            'the phone looks in the same list',
        );
    }
}
