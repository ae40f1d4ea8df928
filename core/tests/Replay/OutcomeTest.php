<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Replay\Outcome;
use PHPUnit\Framework\TestCase;

final class OutcomeTest extends TestCase
{
    public function test_each_outcome_has_a_code_of_its_own_from_one_on(): void
    {
        $codes = array_map(static fn (Outcome $o): int => $o->code(), Outcome::cases());
        sort($codes);
        self::assertSame(range(1, Outcome::count()), $codes);
        foreach (Outcome::cases() as $outcome) {
            self::assertSame($outcome, Outcome::fromCode($outcome->code()));
        }
        self::assertNull(Outcome::fromCode(Outcome::NONE));
        self::assertNull(Outcome::fromCode(Outcome::count() + 1));
    }

    public function test_only_a_harvest_however_short_came_to_one_and_only_what_did_not_emerge_never_came_up(): void
    {
        $values = static fn (callable $is): array => array_values(
            array_map(static fn (Outcome $o): string => $o->value, array_filter(Outcome::cases(), $is)),
        );
        self::assertSame(['harvest', 'short-harvest'], $values(static fn (Outcome $o): bool => $o->cameToHarvest()));
        self::assertSame(
            ['no-stock', 'ground-frozen', 'no-emergence-cold', 'no-emergence-hot'],
            $values(static fn (Outcome $o): bool => ! $o->cameUp()),
        );
        self::assertSame(['no-stock', 'ground-frozen'], $values(static fn (Outcome $o): bool => ! $o->wasSown()));
    }

    /** The core in a process of its own, with one outcome more: it must turn up wherever outcomes are told. */
    public function test_a_new_outcome_is_dropped_nowhere(): void
    {
        $core = dirname(__DIR__, 2);
        $source = (string) file_get_contents("{$core}/src/Replay/Outcome.php");
        $added = preg_replace(
            ['/(case ShortHarvest = .*;)/', '/(self::ShortHarvest => \d+,)/'],
            ["$1\n    case Eaten = 'eaten';", '$1 self::Eaten => '.(Outcome::count() + 1).','],
            $source,
            1,
            $changes,
        );
        self::assertSame(2, $changes);
        $file = (string) tempnam(sys_get_temp_dir(), 'outcome');
        file_put_contents($file, $added);
        $told = shell_exec(
            implode(' ', array_map('escapeshellarg', [PHP_BINARY, '-d', 'pcov.enabled=0', __DIR__.'/one-outcome-more.php', $file])),
        );
        unlink($file);
        self::assertSame(
            ['runs' => 730, 'reason' => 'eaten', 'reason_span' => 'eaten', 'ribbon' => ['eaten'], 'years' => 2],
            json_decode((string) $told, true),
            (string) $told,
        );
    }
}
