<?php

declare(strict_types=1);

namespace Anthesis\Tests;

use PHPUnit\Framework\TestCase;

final class MutantsTest extends TestCase
{
    /** @return list<string> the lines of a function's body as they become */
    private function changes(string $line): array
    {
        return array_map(
            static fn (array $mutant): string => explode("\n", $mutant['code'])[2],
            Mutants::of("<?php\ndeclare(strict_types=1);\n{$line}\n", '/here'),
        );
    }

    public function test_operators_bounds_and_constants_are_changed_one_at_a_time(): void
    {
        self::assertSame(['if ($a <= 3) {}', 'if ($a < 4) {}'], $this->changes('if ($a < 3) {}'));
        self::assertSame(
            ['return $a - $b * 2.0;', 'return $a + $b / 2.0;', 'return $a + $b * 2.5;'],
            $this->changes('return $a + $b * 2.0;'),
        );
        self::assertSame(['$x = max($a, $b);'], $this->changes('$x = min($a, $b);'));
        self::assertSame(['if ( $a || $b) {}', 'if (! $a && $b) {}'], $this->changes('if (! $a || $b) {}'));
    }

    public function test_a_sign_is_taken_away_and_a_place_stays_where_it_was(): void
    {
        self::assertSame(
            ['return  $a;'],
            array_map(static fn (string $c): string => preg_replace('/ +/', '  ', $c, 1) ?? '', $this->changes('return -$a;')),
        );
        self::assertSame(["\$f = '/here'.\$a[1];"], $this->changes('$f = __DIR__.$a[0];'));
    }

    public function test_what_is_read_as_a_whole_is_changed_too(): void
    {
        self::assertSame(['$x = ($b);'], $this->changes('$x = $a ?? $b;'));
        self::assertSame(['$x = ($a ? $c : $b);'], $this->changes('$x = $a ? $b : $c;'));
        self::assertSame([], $this->changes('$x = $a ?: $b;'));
        self::assertSame([[''], []], [$this->changes('sort($a);'), $this->changes('$x = f();')]);
        self::assertSame(['function f(): int { return 1 + ($a); }'], $this->changes('function f(): int { return $a; }'));
        self::assertSame(['function f(): bool { return ! ($a); }'], $this->changes('function f(): bool { return $a; }'));
        self::assertSame(['function f(): array { return []; }'], $this->changes('function f(): array { return $a; }'));
        self::assertSame(['function f(): ?int { return null; }'], $this->changes('function f(): ?int { return $a; }'));
        self::assertSame(
            ["function f(): string { return '' === (\$a) ? 'x' : ''; }"],
            $this->changes('function f(): string { return $a; }'),
        );
        self::assertSame(
            [[], []],
            [$this->changes('function f(): array { return []; }'), $this->changes('function f(): ?int { return null; }')],
        );
        self::assertSame([], $this->changes('function f(): self { return $a; }'));
        self::assertSame(["\$f = ('/here');"], $this->changes('$f = $a ?? __DIR__;'));
    }

    public function test_names_are_left_alone(): void
    {
        self::assertSame([], $this->changes('return $this->min($record::max());'));
    }
}
