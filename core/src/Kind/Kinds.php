<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Value\Parameter;

/** The kinds of strip and of mask that there are, in the order in which the shelf shows them; which ones, the registry says. */
final readonly class Kinds
{
    /**
     * @param  list<class-string<StripKind>>  $strips
     * @param  list<class-string<MaskKind>>  $masks
     */
    public function __construct(public array $strips, public array $masks)
    {
    }

    /**
     * @return class-string<StripKind>
     *
     * @throws SceneError naming $field
     */
    public function strip(mixed $key, string $field): string
    {
        return self::named($this->strips, $key, $field);
    }

    /**
     * @return class-string<MaskKind>
     *
     * @throws SceneError naming $field
     */
    public function mask(mixed $key, string $field): string
    {
        return self::named($this->masks, $key, $field);
    }

    /**
     * The values of a kind; they are the same for every strip of it, and asked for at every draft.
     *
     * @param  class-string<StripKind>|class-string<MaskKind>  $kind
     * @return list<Parameter>
     */
    public static function parametersOf(string $kind): array
    {
        /** @var array<class-string, list<Parameter>> $known */
        static $known = [];

        return $known[$kind] ??= $kind::parameters();
    }

    /**
     * @template T of StripKind|MaskKind
     *
     * @param  list<class-string<T>>  $classes
     * @return class-string<T>
     *
     * @throws SceneError naming $field
     */
    private static function named(array $classes, mixed $key, string $field): string
    {
        foreach ($classes as $class) {
            if ($class::key() === $key) {
                return $class;
            }
        }
        throw SceneError::expected($field, 'one of '.implode(', ', array_map(static fn (string $class): string => $class::key(), $classes)), $key);
    }
}
