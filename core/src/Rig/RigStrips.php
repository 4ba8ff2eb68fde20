<?php

declare(strict_types=1);

namespace Aumbrel\Core\Rig;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Scene\KeptOff;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Renaming;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\SurfaceValue;
use Closure;

/**
 * Strips as they stand in a scene file, each with what it holds, changed one by one.
 *
 * @phpstan-type Entry array<array-key, mixed>
 */
final readonly class RigStrips
{
    public function __construct(private Kinds $kinds)
    {
    }

    /**
     * @param  list<Entry>  $strips
     * @param  Closure(Entry): ?Entry  $change  of one strip by itself; null takes it away with what it holds
     * @return list<Entry>
     */
    public function each(array $strips, Closure $change): array
    {
        $changed = [];
        foreach ($strips as $strip) {
            $own = $change($strip);
            if ($own !== null) {
                $inner = $own['strips'] ?? null;
                $changed[] = is_array($inner) ? array_replace($own, ['strips' => $this->each(array_values(array_filter($inner, is_array(...))), $change)]) : $own;
            }
        }

        return $changed;
    }

    /**
     * For a picture of another size.
     *
     * @param  Entry  $strip
     * @return Entry
     */
    public function carried(array $strip, Carry $carry): array
    {
        $strip['values'] = $this->kind($strip)::carried(self::object($strip['values'] ?? []), $carry);
        $strip['masks'] = array_map(fn (array $mask): mixed => MaskEntry::carried($mask, $carry, $this->kinds), self::masks($strip));

        return isset($strip['keptOff']) ? array_replace($strip, ['keptOff' => KeptOff::carried($strip['keptOff'], $carry)]) : $strip;
    }

    /**
     * With names of other strips, sources and masks, and its own.
     *
     * @param  Entry  $strip
     * @param  Closure(string): ?string  $named  what a strip is called
     * @param  Closure(string): ?string  $source
     * @param  Closure(string): ?string  $mask
     * @return Entry
     */
    public function called(array $strip, Closure $named, Closure $source, Closure $mask): array
    {
        $strip = (new Renaming($this->kinds, $named, $source, $mask))->of($strip);
        $strip['masks'] = array_map(static fn (array $own): array => array_replace($own, ['id' => $mask(self::id($own)) ?? '']), self::masks($strip));

        return array_replace($strip, ['id' => $named(self::id($strip)) ?? '']);
    }

    /**
     * Without the walls that are not there.
     *
     * @param  Entry  $strip
     * @param  list<string>  $walls
     * @return Entry
     */
    public function onWalls(array $strip, array $walls): array
    {
        $isThere = static fn (mixed $surface): bool => $surface === Stage::FLOOR || in_array($surface, $walls, true);

        return array_replace($strip, ['values' => self::changed($strip['values'] ?? [], $this->kind($strip), static fn (Parameter $parameter, mixed $value): mixed => $parameter->type instanceof SurfaceValue && ! $isThere($value) ? null : $value)]);
    }

    /**
     * With other pictures in it and its masks.
     *
     * @param  Entry  $strip
     * @param  Closure(string): ?string  $picture  a picture's name; null takes it away
     * @return Entry|null  null for a strip that is nothing without its picture
     */
    public function showing(array $strip, Closure $picture): ?array
    {
        $change = static fn (Parameter $parameter, mixed $value): mixed => $parameter->type instanceof PictureValue && is_string($value) ? $picture($value) : $value;
        $strip['values'] = self::changed($strip['values'] ?? [], $this->kind($strip), $change);
        $strip['masks'] = array_map(fn (array $mask): array => isset($mask['values']) ? array_replace($mask, ['values' => self::changed($mask['values'], $this->kinds->mask($mask['kind'] ?? null, 'kind'), $change)]) : $mask, self::masks($strip));
        foreach (Kinds::parametersOf($this->kind($strip)) as $parameter) {
            if ($parameter->type instanceof PictureValue && $parameter->isRequired() && ! isset($strip['values'][$parameter->name])) {
                return null;
            }
        }

        return $strip;
    }

    /**
     * @param  Entry  $strip
     * @return list<Entry>
     */
    public static function masks(array $strip): array
    {
        return array_values(array_filter(is_array($strip['masks'] ?? null) ? $strip['masks'] : [], is_array(...)));
    }

    /**
     * @param  Entry  $entry
     *
     * @throws SceneError when it has no id
     */
    public static function id(array $entry): string
    {
        return Fields::isIdentifier($entry['id'] ?? null) ? $entry['id'] : throw SceneError::expected('id', 'an id', $entry['id'] ?? null);
    }

    /** @return Entry */
    public static function object(mixed $value): array
    {
        return is_array($value) ? $value : [];
    }

    /**
     * @param  Entry  $strip
     * @return class-string<StripKind>
     */
    private function kind(array $strip): string
    {
        return $this->kinds->strip($strip['kind'] ?? null, 'kind');
    }

    /**
     * @param  class-string<StripKind>|class-string<MaskKind>  $kind
     * @param  Closure(Parameter, mixed): mixed  $change
     * @return Entry
     */
    private static function changed(mixed $values, string $kind, Closure $change): array
    {
        $values = self::object($values);
        foreach (Kinds::parametersOf($kind) as $parameter) {
            if (isset($values[$parameter->name])) {
                $values[$parameter->name] = $change($parameter, $values[$parameter->name]);
            }
        }

        return $values;
    }
}
