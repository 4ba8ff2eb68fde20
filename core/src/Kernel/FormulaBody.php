<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

use LogicException;
use PhpToken;
use ReflectionMethod;
use ReflectionParameter;

/**
 * The body of a formula, word by word; refuses whatever would be something else once it stands in a kernel.
 */
final class FormulaBody
{
    /** What a formula may not have. */
    private const REFUSED = [
        T_OBJECT_OPERATOR => 'an object is asked', T_NULLSAFE_OBJECT_OPERATOR => 'an object is asked', T_NEW => 'an object is made', T_FUNCTION => 'a function stands in it',
        T_FN => 'a function stands in it', T_STATIC => 'something static stands in it', T_GLOBAL => 'it reaches for something global', T_YIELD => 'it yields', T_THROW => 'it throws',
        T_TRY => 'it catches', T_GOTO => 'it jumps', T_ECHO => 'it prints', T_INCLUDE => 'it includes a file', T_REQUIRE => 'it includes a file',
    ];

    /** What writes to the variable before it. */
    private const WRITES = ['=', '+=', '-=', '*=', '/=', '.=', '%=', '**=', '??=', '&=', '|=', '^=', '<<=', '>>=', '++', '--'];

    /** @var list<PhpToken> without comments, from the first word of the body to its last */
    private readonly array $all;

    /** @var list<PhpToken> without spaces */
    private readonly array $words;

    private readonly string $file;

    private readonly int $before;

    /** @param  class-string  $class */
    private function __construct(string $class, string $name, private readonly ReflectionMethod $method)
    {
        $this->file = (string) $method->getFileName();
        $this->before = (int) $method->getStartLine() - 1;
        $lines = file($this->file) ?: throw new LogicException("no source for {$class}::{$name}");
        $source = implode('', array_slice($lines, $this->before, (int) $method->getEndLine() - $this->before));
        $tokens = PhpToken::tokenize("<?php class _ {{$source}}");
        $depth = 0;
        $all = [];
        foreach ($tokens as $token) {
            $depth -= $token->text === '}' ? 1 : 0;
            if ($depth >= 2 && ! $token->is([T_COMMENT, T_DOC_COMMENT])) {
                $all[] = $token;
            }
            $depth += $token->text === '{' ? 1 : 0;
        }
        $this->all = $all;
        $this->words = array_values(array_filter($all, static fn (PhpToken $token): bool => ! $token->is(T_WHITESPACE)));
    }

    /**
     * @param  class-string  $class
     * @return array{list<string>, list<array{string, string}>} the names of its parameters, and its words: what each is, and its text
     *
     * @throws NotInlined with file, line and reason
     */
    public static function of(string $class, string $name): array
    {
        $method = new ReflectionMethod($class, $name);
        $body = new self($class, $name, $method);
        $body->check();

        return [array_map(static fn (ReflectionParameter $parameter): string => '$'.$parameter->getName(), $method->getParameters()), $body->copied()];
    }

    /** @throws NotInlined */
    private function check(): void
    {
        $depth = 0;
        foreach ($this->words as $at => $word) {
            if (isset(self::REFUSED[$word->id])) {
                $this->refuse($word, self::REFUSED[$word->id]);
            }
            $depth += match ($word->text) {
                '{' => 1, '}' => -1, default => 0
            };
            if ($word->is(T_RETURN) && ($depth > 0 || $this->statementEnd($at) !== count($this->words) - 1)) {
                $this->refuse($word, 'it returns before its end');
            }
            if ($word->is(T_VARIABLE)) {
                $this->checkVariable($at);
            }
            if ($word->is(T_DOUBLE_COLON)) {
                $this->checkConstant($at);
            }
        }
    }

    /** @throws NotInlined where a parameter that is not taken by reference is written to: in a kernel that would be the caller's */
    private function checkVariable(int $at): void
    {
        $word = $this->words[$at];
        if ($word->text === '$this') {
            $this->refuse($word, 'an object is asked');
        }
        $isRead = array_filter($this->method->getParameters(), static fn (ReflectionParameter $parameter): bool => "\${$parameter->getName()}" === $word->text && ! $parameter->isPassedByReference()) !== [];
        $after = $this->words[$at + 1]->text ?? '';
        $before = $this->words[$at - 1]->text ?? '';
        if ($isRead && (in_array($after, self::WRITES, true) || in_array($before, ['++', '--', '&'], true) || $this->isTakenApart($at))) {
            $this->refuse($word, "it writes to its parameter {$word->text}");
        }
    }

    /** Whether a word stands in a list that something is taken apart into. */
    private function isTakenApart(int $at): bool
    {
        $open = 0;
        for ($from = $at; $from >= 0 && ! in_array($this->words[$from]->text, [';', '{', '}'], true); $from--) {
            $open += match ($this->words[$from]->text) {
                '[' => 1, ']' => -1, default => 0
            };
        }
        if ($open <= 0) {
            return false;
        }
        for ($to = $at; $open > 0 && isset($this->words[$to]); $to++) {
            $open -= match ($this->words[$to]->text) {
                ']' => 1, '[' => -1, default => 0
            };
        }

        return ($this->words[$to]->text ?? '') === '=';
    }

    /** @throws NotInlined */
    private function checkConstant(int $at): void
    {
        [$class, $name, $after] = [$this->words[$at - 1], $this->words[$at + 1], $this->words[$at + 2]->text ?? ''];
        if ($after === '(') {
            $this->refuse($name, "it calls {$class->text}::{$name->text}()");
        }
        if ($class->text !== 'self') {
            $this->refuse($class, "it reads {$class->text}::{$name->text} of another class");
        }
        if (! $name->is(T_STRING) || ! $this->method->getDeclaringClass()->hasConstant($name->text)) {
            $this->refuse($name, "there is no constant {$name->text}");
        }
    }

    /** Where the statement ends that begins at a word. */
    private function statementEnd(int $at): int
    {
        while (isset($this->words[$at]) && $this->words[$at]->text !== ';') {
            $at++;
        }

        return $at;
    }

    /** @throws NotInlined */
    private function refuse(PhpToken $word, string $why): never
    {
        throw NotInlined::at($this->file, $this->before + $word->line, "{$this->method->class}::{$this->method->name} cannot be copied into a kernel: {$why}");
    }

    /** @return list<array{string, string}> */
    private function copied(): array
    {
        $copied = [];
        foreach ($this->all as $at => $token) {
            $isOfClass = ($this->all[$at + 1] ?? null)?->is(T_DOUBLE_COLON) === true;
            $isConstant = ($this->all[$at - 1] ?? null)?->is(T_DOUBLE_COLON) === true;
            $copied[] = match (true) {
                $isOfClass, $token->is(T_DOUBLE_COLON) => ['text', ''],
                $isConstant => ['text', var_export($this->method->getDeclaringClass()->getConstant($token->text), true)],
                $token->is(T_VARIABLE) => ['variable', $token->text],
                $token->is(T_RETURN) => ['return', ''],
                $token->is(T_WHITESPACE) => ['text', ' '],
                default => ['text', $token->text],
            };
        }

        return $copied;
    }
}
