<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;

/** A number in a range, with a unit. */
final readonly class NumberValue extends ValueType
{
    private function __construct(private Unit $unit, private float $least, private float $most, private float $step, public ?Times $times = null, private bool $isDirection = false)
    {
    }

    public static function named(string $name, string $label, string $section, Unit $unit, float $least, float $most, float $default, float $step = 1, ?Times $times = null): Parameter
    {
        return new Parameter($name, $label, $section, new self($unit, $least, $most, $step, $times), $default);
    }

    /** A direction in the picture, degrees, counter-clockwise as seen. */
    public static function direction(string $name, string $label, string $section, float $default): Parameter
    {
        return new Parameter($name, $label, $section, new self(Unit::Degrees, -180, 180, 1, isDirection: true), $default);
    }

    /** How far something is turned, degrees, counter-clockwise as seen. */
    public static function turn(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self(Unit::Degrees, -360, 360, 1, isDirection: true), 0.0);
    }

    /** @param  string  $whenEmpty what the bench says while there is no number */
    public static function optional(string $name, string $label, string $section, Unit $unit, float $least, float $most, string $whenEmpty, float $step = 1): Parameter
    {
        return Parameter::optional($name, $label, $section, new self($unit, $least, $most, $step), $whenEmpty);
    }

    public static function key(): string
    {
        return 'number';
    }

    public function read(mixed $raw, string $field): float
    {
        if ((! is_int($raw) && ! is_float($raw)) || ! ($raw >= $this->least && $raw <= $this->most)) {
            throw SceneError::expected($field, trim("a number from {$this->least} to {$this->most} {$this->unit->value}"), $raw);
        }

        return (float) $raw;
    }

    public function mirrored(mixed $value, Mirror $mirror): mixed
    {
        return $this->isDirection && is_float($value) ? $mirror->direction($value) : $value;
    }

    public function carried(mixed $raw, Carry $carry): mixed
    {
        return $this->unit === Unit::Pixels ? $carry->length($raw, $this->least, $this->most) : $raw;
    }

    public function isPlace(): bool
    {
        return $this->isDirection;
    }

    public function schema(): array
    {
        return ['type' => 'number', 'minimum' => $this->least, 'maximum' => $this->most];
    }

    public function describe(): array
    {
        return ['unit' => $this->unit->value, 'least' => $this->least, 'most' => $this->most, 'step' => $this->step, ...($this->times === null ? [] : ['times' => $this->times->toArray()])];
    }

    public function unit(): string
    {
        return $this->unit->value;
    }
}
