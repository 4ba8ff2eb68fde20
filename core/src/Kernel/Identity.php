<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

use Closure;
use LogicException;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionProperty;
use UnitEnum;
use WeakMap;

/**
 * Names something by its class and everything that it was made of, so that nothing that it depends on can be forgotten.
 *
 * Of a readonly class that is all that it holds; of another one the values that its constructor keeps, because the rest may be
 * worked out later. A closure, or whatever else has no values, must bring a `name` with all that it depends on.
 */
final class Identity
{
    /** A name that is longer than this is told by its hash. */
    private const LONGEST = 400;

    /** @var WeakMap<object, string>|null what was named is named the same for as long as it lives */
    private static ?WeakMap $known = null;

    /** @var array<class-string, list<ReflectionProperty>> what names a thing, by its class */
    private static array $properties = [];

    /** @var array<class-string, 'identity'|'key'|''> the method by which a thing names itself, by its class */
    private static array $own = [];

    public static function of(object $thing): string
    {
        self::$known ??= new WeakMap;

        return self::$known[$thing] ??= self::named($thing);
    }

    private static function named(object $thing): string
    {
        $text = strrchr($thing::class, '\\') ?: $thing::class;
        foreach (self::$properties[$thing::class] ??= self::propertiesOf($thing::class) as $property) {
            $text .= ' '.self::value($property->getValue($thing), $thing);
        }

        return strlen($text) > self::LONGEST ? hash('xxh128', $text) : $text;
    }

    private static function value(mixed $value, object $of): string
    {
        return match (true) {
            is_float($value) => sprintf('%.17G', $value),
            is_string($value) => strlen($value).':'.$value,
            is_int($value), is_bool($value), $value === null => json_encode($value, JSON_THROW_ON_ERROR),
            is_array($value) => '['.implode(' ', array_map(static fn (mixed $one, int|string $at): string => "{$at}=".self::value($one, $of), $value, array_keys($value))).']',
            $value instanceof UnitEnum => $value->name,
            is_object($value) => self::ofPart($value),
            default => throw new LogicException($of::class.' holds something that has no name: '.get_debug_type($value)),
        };
    }

    /** Of something that another thing holds: as it names itself where it does, else by all that it holds. */
    private static function ofPart(object $part): string
    {
        return match (self::$own[$part::class] ??= self::ownOf($part)) {
            'identity' => method_exists($part, 'identity') && is_string($name = $part->identity()) ? $name : '',
            'key' => method_exists($part, 'key') && is_string($name = $part->key()) ? $name : '',
            default => self::of($part),
        };
    }

    /** @return 'identity'|'key'|'' */
    private static function ownOf(object $part): string
    {
        $class = new ReflectionClass($part);
        foreach (['identity', 'key'] as $name) {
            if ($class->hasMethod($name) && ! $class->getMethod($name)->isStatic()) {
                return $name;
            }
        }

        return '';
    }

    /**
     * @param  class-string  $name
     * @return list<ReflectionProperty>
     *
     * @throws LogicException when something in it has no values and it has no name
     */
    private static function propertiesOf(string $name): array
    {
        $class = new ReflectionClass($name);
        if ($class->isInternal()) {
            throw new LogicException("{$name} has no values that could name it");
        }
        $properties = array_values(array_filter($class->getProperties(), static fn (ReflectionProperty $property): bool => ! $property->isStatic()));
        if (! $class->isReadOnly()) {
            $kept = array_map(static fn (\ReflectionParameter $parameter): string => $parameter->getName(), $class->getConstructor()?->getParameters() ?? []);
            $properties = array_values(array_filter($properties, static fn (ReflectionProperty $property): bool => in_array($property->getName(), $kept, true)));
            if (count($properties) !== count($kept)) {
                throw new LogicException("{$name} does not keep all that its constructor takes");
            }
        }
        $mute = array_filter($properties, self::isMute(...));
        if ($mute !== [] && ! self::hasName($properties)) {
            throw new LogicException("{$name} holds something that has no values, and brings no name with all that it depends on");
        }

        return array_values(array_udiff($properties, $mute, static fn (ReflectionProperty $one, ReflectionProperty $other): int => $one->getName() <=> $other->getName()));
    }

    /** Whether nothing in a property could name it: a closure, or a place to ask for more. */
    private static function isMute(ReflectionProperty $property): bool
    {
        $type = $property->getType();

        return $type instanceof ReflectionNamedType && ($type->getName() === Closure::class || is_a($type->getName(), Asked::class, true));
    }

    /** @param  list<ReflectionProperty>  $properties */
    private static function hasName(array $properties): bool
    {
        return array_filter($properties, static fn (ReflectionProperty $property): bool => $property->getName() === 'name' && (string) $property->getType() === 'string') !== [];
    }
}
