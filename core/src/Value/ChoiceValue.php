<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;

/** One of a few words. */
final readonly class ChoiceValue extends ValueType
{
    /**
     * @param  list<string>  $choices
     * @param  array<string, string>  $formerly  words of older scene files, and what they are called now
     */
    private function __construct(private array $choices, private array $formerly)
    {
    }

    /**
     * @param  list<string>  $choices
     * @param  array<string, string>  $formerly  words of older scene files, and what they are called now
     */
    public static function named(string $name, string $label, string $section, array $choices, string $default, array $formerly = []): Parameter
    {
        return new Parameter($name, $label, $section, new self($choices, $formerly), $default);
    }

    public static function key(): string
    {
        return 'choice';
    }

    public function read(mixed $raw, string $field): string
    {
        if (is_string($raw)) {
            $raw = $this->formerly[$raw] ?? $raw;
        }

        return is_string($raw) && in_array($raw, $this->choices, true)
            ? $raw : throw SceneError::expected($field, 'one of '.implode(', ', $this->choices), $raw);
    }

    public function schema(): array
    {
        return ['enum' => [...$this->choices, ...array_keys($this->formerly)]];
    }

    public function describe(): array
    {
        return ['choices' => $this->choices];
    }
}
