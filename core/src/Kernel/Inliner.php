<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

use LogicException;

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
        [$parameters, $body] = $this->parsed[implode('::', $formula)] ??= FormulaBody::of(...$formula);
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
        [$parameters, $body] = $this->parsed[implode('::', $formula)] ??= FormulaBody::of(...$formula);
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
}
