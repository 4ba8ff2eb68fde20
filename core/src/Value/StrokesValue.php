<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Stroke\Pressure;
use Aumbrel\Core\Stroke\Stroke;
use Aumbrel\Core\Stroke\Strokes;
use Aumbrel\Core\Stroke\Tip;

/** Strokes in the order in which they were painted. */
final readonly class StrokesValue extends ValueType
{
    public static function named(string $name, string $label, string $section): Parameter
    {
        return new Parameter($name, $label, $section, new self, new Strokes([]));
    }

    public static function key(): string
    {
        return 'strokes';
    }

    public function read(mixed $raw, string $field): Strokes
    {
        return Strokes::read($raw, $field);
    }

    public function write(mixed $value): mixed
    {
        return $value instanceof Strokes ? $value->toArray() : null;
    }

    /** Strokes are known by their names, so that hundreds of them are not written out for every window of every draft. */
    public function keyOf(mixed $value): string
    {
        return $value instanceof Strokes ? implode(' ', array_map(static fn (Stroke $stroke): string => $stroke->key(), $value->all)) : '';
    }

    public function mirrored(mixed $value, Mirror $mirror): mixed
    {
        return $value instanceof Strokes ? $value->mirrored($mirror) : $value;
    }

    public function carried(mixed $raw, Carry $carry): mixed
    {
        return Carry::each($raw, [
            'size' => static fn (mixed $size): mixed => $carry->length($size, Stroke::SMALLEST_SIZE, Stroke::LARGEST_SIZE),
            'points' => static fn (mixed $points): mixed => is_array($points) ? array_map(static fn (mixed $point): mixed => is_array($point) ? array_replace($point, (array) $carry->point(array_slice($point, 0, 2))) : $point, $points) : $points,
        ]);
    }

    public function isPlace(): bool
    {
        return true;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'maxItems' => Strokes::MOST, 'items' => ['type' => 'object', 'required' => ['points'], 'properties' => [
            'size' => ['type' => 'number', 'minimum' => Stroke::SMALLEST_SIZE, 'maximum' => Stroke::LARGEST_SIZE],
            ...array_fill_keys(['hardness', 'opacity', 'flow'], ['type' => 'number', 'minimum' => 0, 'maximum' => 100]),
            'spacing' => ['type' => 'number', 'minimum' => 5, 'maximum' => 200], 'letsIn' => ['type' => 'boolean'], 'pressure' => ['enum' => array_column(Pressure::cases(), 'value')],
            'tip' => ['enum' => array_column(Tip::cases(), 'value')], 'stretch' => ['type' => 'number', 'minimum' => 1, 'maximum' => Stroke::LONGEST_MARK],
            'dapples' => ['type' => 'number', 'minimum' => 0, 'maximum' => 100], 'seed' => ['type' => 'integer', 'minimum' => 0], 'grid' => ['type' => 'string', 'description' => '32 by 32 bytes of grey in base64'], 'alike' => ['type' => 'number', 'minimum' => 0, 'maximum' => 100],
            'points' => ['type' => 'array', 'minItems' => 1, 'maxItems' => 5000, 'items' => ['type' => 'array', 'items' => ['type' => 'number'], 'minItems' => 2, 'maxItems' => 4, 'description' => 'x, y, pressure 0..1, ms since the stroke began']],
        ]]];
    }
}
