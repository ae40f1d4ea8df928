<?php

declare(strict_types=1);

namespace Anthesis\Tests;

use PhpToken;

/**
 * A source file with one thing changed at a time: an operator, a bound, a constant, the end of a loop.
 *
 * @phpstan-type Mutant array{line: int, change: string, code: string}
 */
final class Mutants
{
    private const SWAPPED = [
        '<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>', '===' => '!==', '!==' => '===', '==' => '!=', '!=' => '==',
        '+' => '-', '-' => '+', '*' => '/', '/' => '*', '%' => '*', '+=' => '-=', '-=' => '+=', '*=' => '/=', '/=' => '*=',
        '++' => '--', '--' => '++', '&&' => '||', '||' => '&&', '!' => '', 'true' => 'false', 'false' => 'true',
        'min' => 'max', 'max' => 'min', 'floor' => 'ceil', 'ceil' => 'floor', 'continue' => 'break', 'break' => 'continue',
    ];

    /** A sign before which stands one of these is of a number, not between two. */
    private const BEFORE_SIGN = ['(', '[', ',', '=', '=>', 'return', '?', ':', '<', '<=', '>', '>=', '+', '-', '*', '/', '...', '&&', '||', '??', 'case'];

    /** @return list<Mutant> in the order of the file */
    public static function of(string $source, string $folder): array
    {
        $tokens = PhpToken::tokenize($source);
        $mutants = [];
        $before = '';
        foreach ($tokens as $i => $token) {
            if ($token->isIgnorable()) {
                continue;
            }
            $changed = $before === 'strict_types' || self::isName($tokens, $i, $before) ? null : self::changed($token, $before);
            // A declare() is a number after a name and a sign: it stays.
            if ($changed !== null && ! self::isDeclaration($tokens, $i)) {
                $mutants[] = ['line' => $token->line, 'change' => trim("{$token->text} becomes {$changed}"), 'code' => self::with($tokens, $i, $changed, $folder)];
            }
            $before = $token->text;
        }

        return $mutants;
    }

    private static function changed(PhpToken $token, string $before): ?string
    {
        if ($token->is(T_LNUMBER)) {
            return $token->text === '0' ? '1' : (string) ((int) $token->text + 1);
        }
        if ($token->is(T_DNUMBER)) {
            $number = (float) $token->text;

            return $number === 0.0 ? '1.0' : var_export($number * 1.25, true);
        }
        $text = strtolower($token->text);
        if (($text === '-' || $text === '+') && in_array($before, self::BEFORE_SIGN, true)) {
            return $text === '-' ? ' ' : null;
        }

        return self::SWAPPED[$text] ?? null;
    }

    /**
     * Whether a word is a method, property or constant of that name: `->min`, `::max`, `function floor`.
     *
     * @param  list<PhpToken>  $tokens
     */
    private static function isName(array $tokens, int $i, string $before): bool
    {
        return preg_match('/^[a-z]+$/i', $tokens[$i]->text) === 1 && in_array($before, ['->', '?->', '::', 'function', 'const', '$'], true);
    }

    /** @param  list<PhpToken>  $tokens */
    private static function isDeclaration(array $tokens, int $i): bool
    {
        for ($j = max(0, $i - 4); $j < $i; $j++) {
            if ($tokens[$j]->is(T_DECLARE) || $tokens[$j]->text === 'strict_types') {
                return true;
            }
        }

        return false;
    }

    /** @param  list<PhpToken>  $tokens */
    private static function with(array $tokens, int $changed, string $to, string $folder): string
    {
        $code = '';
        foreach ($tokens as $i => $token) {
            // A copy lies elsewhere, and still finds what lies beside the original.
            $code .= $i === $changed ? $to : ($token->is(T_DIR) ? var_export($folder, true) : $token->text);
        }

        return $code;
    }
}
