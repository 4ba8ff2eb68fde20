<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

use LogicException;
use ReflectionMethod;

/**
 * Copies the body of a static formula into a kernel.
 *
 * A formula is written once, as a plain static method that can be called and tested on numbers. Its last statement is
 * its only `return`, or it returns nothing and writes to parameters taken by reference. Inlining replaces parameters by
 * the kernel's variables, gives locals names of their own and turns the `return` into an assignment: a call per sample
 * would cost ten times the formula.
 */
final class Inliner
{
    /** @var array<string, array{list<string>, list<array{string, string}>}> parsed bodies by method */
    private array $parsed = [];

    private int $copies = 0;

    /**
     * @param  array{class-string, string}  $formula
     * @param  list<string>  $arguments  variables or numbers, one a parameter
     * @param  string|null  $into  the variable that takes what is returned
     */
    public function copy(array $formula, array $arguments, ?string $into): string
    {
        [$parameters, $body] = $this->parsed[implode('::', $formula)] ??= $this->parse(...$formula);
        if (count($parameters) !== count($arguments)) {
            throw new LogicException(implode('::', $formula).' takes '.count($parameters).' arguments');
        }
        $names = array_combine($parameters, $arguments);
        $prefix = '$v'.$this->copies++.'_';
        $source = '';
        foreach ($body as [$kind, $text]) {
            $source .= match ($kind) {
                'variable' => $names[$text] ?? $prefix.substr($text, 1),
                'return' => $into === null ? throw new LogicException('the result of '.implode('::', $formula).' goes nowhere') : "{$into} =",
                default => $text,
            };
        }

        return trim($source);
    }

    /**
     * The same as one expression, for a formula that is nothing but a `return`; null for any other.
     *
     * @param  array{class-string, string}  $formula
     * @param  list<string>  $arguments
     */
    public function expression(array $formula, array $arguments): ?string
    {
        [$parameters, $body] = $this->parsed[implode('::', $formula)] ??= $this->parse(...$formula);
        $names = array_combine($parameters, $arguments);
        $source = '';
        foreach ($body as [$kind, $text]) {
            if ($kind === 'variable' && ! isset($names[$text])) {
                return null;
            }
            $source .= $kind === 'return' ? '' : ($names[$text] ?? $text);
        }
        $source = trim($source);

        return substr_count($source, ';') === 1 && str_ends_with($source, ';') ? '('.trim($source, ' ;').')' : null;
    }

    /** Names start anew, so that the same stack of strips gives the same text. */
    public function restart(): void
    {
        $this->copies = 0;
    }

    /**
     * @param  class-string  $class
     * @return array{list<string>, list<array{string, string}>}
     */
    private function parse(string $class, string $name): array
    {
        $method = new ReflectionMethod($class, $name);
        $lines = file((string) $method->getFileName()) ?: throw new LogicException("no source for {$class}::{$name}");
        $first = (int) $method->getStartLine() - 1;
        $tokens = token_get_all('<?php class _ {'.implode('', array_slice($lines, $first, (int) $method->getEndLine() - $first)).'}');
        $parameters = array_map(static fn (\ReflectionParameter $p): string => '$'.$p->getName(), $method->getParameters());

        $body = [];
        $depth = 0;
        foreach ($tokens as $at => $token) {
            $text = is_array($token) ? $token[1] : $token;
            if ($text === '}') {
                $depth--;
            }
            if ($depth >= 2 && ! (is_array($token) && in_array($token[0], [T_COMMENT, T_DOC_COMMENT], true))) {
                $body[] = $this->word($token, $tokens, $at, $method);
            }
            if ($text === '{') {
                $depth++;
            }
        }

        return [$parameters, $body];
    }

    /**
     * @param  array{int, string, int}|string  $token
     * @param  array<int, array{int, string, int}|string>  $tokens
     * @return array{string, string}
     */
    private function word(array|string $token, array $tokens, int $at, ReflectionMethod $method): array
    {
        if (! is_array($token)) {
            return ['text', $token];
        }
        if ($token[0] === T_STRING && $token[1] === 'self') {
            return ['text', ''];
        }
        if ($token[0] === T_DOUBLE_COLON) {
            return ['text', ''];
        }
        $before = $tokens[$at - 1] ?? '';
        if ($token[0] === T_STRING && is_array($before) && $before[0] === T_DOUBLE_COLON) {
            $value = $method->getDeclaringClass()->getConstant($token[1]);

            return ['text', var_export($value, true)];
        }

        return match ($token[0]) {
            T_VARIABLE => ['variable', $token[1]],
            T_RETURN => ['return', ''],
            T_WHITESPACE => ['text', ' '],
            default => ['text', $token[1]],
        };
    }
}
