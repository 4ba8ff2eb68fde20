<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Ramp\ToneCurve;

/** Tones and what becomes of them. */
final readonly class CurveValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, ToneCurve::straight());
    }

    public static function key(): string
    {
        return 'curve';
    }

    public function read(mixed $raw, string $field): ToneCurve
    {
        return ToneCurve::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof ToneCurve ? $value->toArray() : null;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'minItems' => 2, 'maxItems' => ToneCurve::MOST, 'items' => ['type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1]]];
    }

    public function describe(): array
    {
        return ['most' => ToneCurve::MOST];
    }
}
