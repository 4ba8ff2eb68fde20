<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\StripKind;
use Closure;

/** Strips of a scene file that name other strips, sources and masks otherwise: for copies, and for strips that go to another scene. */
final readonly class Renaming
{
    /**
     * @param  Closure(string): ?string  $strip  what a strip is called now; null when it is gone
     * @param  Closure(string): ?string  $source
     * @param  Closure(string): ?string  $mask
     */
    public function __construct(private Kinds $kinds, private Closure $strip, private Closure $source, private Closure $mask)
    {
    }

    /**
     * A strip that names them so; its own id, those of its masks and what it holds stay.
     *
     * @param  array<array-key, mixed>  $strip
     * @return array<array-key, mixed>
     */
    public function of(array $strip): array
    {
        foreach (['confinedTo' => $this->strip, 'complements' => $this->strip, 'source' => $this->source] as $field => $named) {
            $strip = self::field($strip, $field, $named);
        }
        if (is_array($strip['keptOff'] ?? null) && is_array($strip['keptOff']['plates'] ?? null)) {
            $strip['keptOff']['plates'] = self::all($strip['keptOff']['plates'], $this->strip);
        }
        $strip['values'] = $this->values($strip['values'] ?? [], $this->kinds->strip($strip['kind'] ?? null, 'kind'));
        $strip['masks'] = array_map($this->mask(...), is_array($strip['masks'] ?? null) ? array_values($strip['masks']) : []);

        return $strip;
    }

    private function mask(mixed $mask): mixed
    {
        if (! is_array($mask)) {
            return $mask;
        }
        $mask = self::field($mask, 'uses', $this->mask);

        return isset($mask['values']) ? array_replace($mask, ['values' => $this->values($mask['values'], $this->kinds->mask($mask['kind'] ?? null, 'kind'))]) : $mask;
    }

    /**
     * @param  class-string<StripKind>|class-string<MaskKind>  $kind
     * @return array<array-key, mixed>
     */
    private function values(mixed $values, string $kind): array
    {
        if (! is_array($values)) {
            $values = [];
        }
        foreach (Kinds::parametersOf($kind) as $parameter) {
            if (isset($values[$parameter->name])) {
                $values[$parameter->name] = $parameter->type->renamed($values[$parameter->name], $this->strip);
            }
        }

        return $values;
    }

    /**
     * @param  array<array-key, mixed>  $fields
     * @param  Closure(string): ?string  $named
     * @return array<array-key, mixed>
     */
    private static function field(array $fields, string $field, Closure $named): array
    {
        if (! is_string($fields[$field] ?? null)) {
            return $fields;
        }
        $name = $named($fields[$field]);
        $fields[$field] = $name;

        return $name === null ? array_diff_key($fields, [$field => true]) : $fields;
    }

    /**
     * @param  array<array-key, mixed>  $names
     * @param  Closure(string): ?string  $named
     * @return list<mixed>
     */
    public static function all(array $names, Closure $named): array
    {
        return array_values(array_filter(array_map(static fn (mixed $name): mixed => is_string($name) ? $named($name) : $name, $names), static fn (mixed $name): bool => $name !== null));
    }
}
