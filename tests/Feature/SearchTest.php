<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
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

    public function test_an_edition_is_opened_once_for_all_searches_and_the_next_one_is_read_anew(): void
    {
        $this->zoneInPrint();
        $opened = 0;
        DB::listen(static function (QueryExecuted $query) use (&$opened): void {
            $opened += (int) str_starts_with($query->sql, 'select * from `editions` where `editions`.`id` = ?');
        });
        $finds = fn (string $crop): bool => str_contains(
            (string) $this->get("/search?for={$crop}")->assertOk()->getContent(),
            '/zones/test-basin/crops/radish"',
        );
        self::assertSame([true, true, false], [$finds('radish'), $finds('Raphanus'), $finds('bright-root')]);
        self::assertSame(1, $opened);
        $change = ['cells' => ['name' => 'Bright-root'], 'note' => 'As it is called here.', 'version' => 1];
        $this->patchJson('/api/crops/radish', $change)->assertOk();
        self::assertFalse($finds('bright-root'), 'not before it is published');
        $this->publish('The second edition.')->assertStatus(202);
        $opened = 0;
        self::assertSame([true, true], [$finds('bright-root'), $finds('Raphanus')]);
        self::assertSame(1, $opened);
    }
}
