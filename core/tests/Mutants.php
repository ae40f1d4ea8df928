<?php

declare(strict_types=1);

namespace Anthesis\Tests;

use PhpParser\Node;
use PhpParser\Node\Expr\BinaryOp\Coalesce;
use PhpParser\Node\Expr\FuncCall;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Expr\Ternary;
use PhpParser\Node\FunctionLike;
use PhpParser\Node\Identifier;
use PhpParser\Node\NullableType;
use PhpParser\Node\Stmt\Expression;
use PhpParser\Node\Stmt\Return_;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\ParentConnectingVisitor;
use PhpParser\ParserFactory;
use PhpToken;

/**
 * A source file with one thing changed at a time: an operator, a bound, a constant, the end of a loop; and, of what is read as a whole, the
 * sides of `?:`, what `??` falls back to, what is returned, a call that is left out.
 *
 * @phpstan-type Mutant array{line: int, change: string, code: string}
 */
final class Mutants
{
    private const SWAPPED = [
        '<' => '<=',
        '<=' => '<',
        '>' => '>=',
        '>=' => '>',
        '===' => '!==',
        '!==' => '===',
        '==' => '!=',
        '!=' => '==',
        '+' => '-',
        '-' => '+',
        '*' => '/',
        '/' => '*',
        '%' => '*',
        '+=' => '-=',
        '-=' => '+=',
        '*=' => '/=',
        '/=' => '*=',
        '++' => '--',
        '--' => '++',
        '&&' => '||',
        '||' => '&&',
        '!' => '',
        'true' => 'false',
        'false' => 'true',
        'min' => 'max',
        'max' => 'min',
        'floor' => 'ceil',
        'ceil' => 'floor',
        'continue' => 'break',
        'break' => 'continue',
    ];

    /** A sign before which stands one of these is of a number, not between two. */
    private const BEFORE_SIGN = [
        '(',
        '[',
        ',',
        '=',
        '=>',
        'return',
        '?',
        ':',
        '<',
        '<=',
        '>',
        '>=',
        '+',
        '-',
        '*',
        '/',
        '...',
        '&&',
        '||',
        '??',
        'case',
    ];

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
                $mutants[] = [
                    'line' => $token->line,
                    'change' => trim("{$token->text} becomes {$changed}"),
                    'code' => self::with($tokens, $i, $changed, $folder),
                ];
            }
            $before = $token->text;
        }
        array_push($mutants, ...self::ofWholes($source, $folder));
        usort($mutants, static fn (array $a, array $b): int => $a['line'] <=> $b['line']);

        return $mutants;
    }

    /** @return list<Mutant> of expressions and statements */
    private static function ofWholes(string $source, string $folder): array
    {
        $statements = (new ParserFactory())->createForHostVersion()->parse($source) ?? [];
        $traverser = new NodeTraverser(new ParentConnectingVisitor());
        $traverser->traverse($statements);
        $text = static fn (Node $node): string => substr(
            $source,
            $node->getStartFilePos(),
            $node->getEndFilePos() - $node->getStartFilePos() + 1,
        );
        $mutants = [];
        foreach ((new NodeFinder())->find($statements, static fn (Node $node): bool => true) as $node) {
            $to = self::whole($node, $text);
            if ($to === null) {
                continue;
            }
            [$from, $end] = [$node->getStartFilePos(), $node->getEndFilePos() + 1];
            $short = static fn (string $code): string => mb_strimwidth((string) preg_replace('/\s+/', ' ', $code), 0, 60, '…');
            $mutants[] = [
                'line' => $node->getStartLine(),
                'change' => $short($text($node)).' becomes '.($to === '' ? 'nothing' : $short($to)),
                'code' => self::here(substr($source, 0, $from).$to.substr($source, $end), $folder),
            ];
        }

        return $mutants;
    }

    /**
     * @param  callable(Node): string  $text  of a node in the source
     * @return string|null what stands in its place; null: it is left as it is
     */
    private static function whole(Node $node, callable $text): ?string
    {
        return match (true) {
            $node instanceof Coalesce => '('.$text($node->right).')',
            $node instanceof Ternary && $node->if !== null => "({$text($node->cond)} ? {$text($node->else)} : {$text($node->if)})",
            $node instanceof Return_ && $node->expr !== null => self::returned($node, $text($node->expr)),
            $node instanceof Expression &&
                ($node->expr instanceof FuncCall || $node->expr instanceof MethodCall || $node->expr instanceof StaticCall) => '',
            default => null,
        };
    }

    private static function returned(Return_ $return, string $value): ?string
    {
        for (
            $function = $return;
            $function !== null && ! ($function instanceof FunctionLike);
            $function = $function->getAttribute('parent')
        );
        $type = $function?->getReturnType();

        return match (true) {
            $type instanceof NullableType => $value === 'null' ? null : 'return null;',
            ! ($type instanceof Identifier) => null,
            $type->name === 'int', $type->name === 'float' => "return 1 + ({$value});",
            $type->name === 'bool' => "return ! ({$value});",
            $type->name === 'array' => $value === '[]' ? null : 'return [];',
            $type->name === 'string' => "return '' === ({$value}) ? 'x' : '';",
            default => null,
        };
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
        return preg_match('/^[a-z]+$/i', $tokens[$i]->text) === 1 &&
            in_array($before, ['->', '?->', '::', 'function', 'const', '$'], true);
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
            $code .= $i === $changed ? $to : $token->text;
        }

        return self::here($code, $folder);
    }

    /** A copy lies elsewhere, and still finds what lies beside the original. */
    private static function here(string $code, string $folder): string
    {
        return str_replace('__DIR__', var_export($folder, true), $code);
    }
}
