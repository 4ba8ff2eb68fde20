<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;

/** How a plate is in the scene; without a value it is guessed from how it looks. */
final readonly class StanceValue extends ValueType
{
    /** @param  list<string>  $stances */
    private function __construct(private array $stances)
    {
    }

    /** @param  list<string>  $stances */
    public static function optional(string $name, string $label, string $section, array $stances, string $whenEmpty): Parameter
    {
        return Parameter::optional($name, $label, $section, new self($stances), $whenEmpty);
    }

    public static function key(): string
    {
        return 'stance';
    }

    public function read(mixed $raw, string $field): string
    {
        return is_string($raw) && in_array($raw, $this->stances, true) ? $raw : throw SceneError::expected($field, 'one of '.implode(', ', $this->stances), $raw);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['enum' => $this->stances];
    }

    public function describe(): array
    {
        return ['choices' => $this->stances];
    }
}
