<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Ground;

/**
 * Masks that are used on several strips: one of them has the shape, the others name it by `uses` and have only how they join,
 * whether they are inverted or off, and their density.
 */
final class SharedMasks
{
    /** What of a shape stands with its holder alone; its kind and its ground stand with each mask that uses it too. */
    public const HELD = ['values', 'grow', 'feather'];

    /** What makes a shape. */
    private const SHAPE = ['kind', 'on', ...self::HELD];

    /**
     * Strips as they stand in a scene file, with the shape in each mask that uses another one's.
     *
     * @param  list<mixed>  $strips
     * @return list<mixed>
     *
     * @throws SceneError when there is no such mask, or it has no shape of its own
     */
    public static function filled(array $strips): array
    {
        $masks = [];
        self::collect($strips, $masks);

        return array_filter($masks, static fn (array $mask): bool => isset($mask['uses'])) === [] ? $strips : self::each($strips, $masks);
    }

    /**
     * A mask with the shape of another one.
     *
     * @param  array<mixed>  $mask
     * @param  array<mixed>  $other
     * @return array<mixed>
     */
    public static function shaped(array $mask, array $other): array
    {
        $shape = array_flip(self::SHAPE);

        return array_diff_key($mask, $shape) + array_intersect_key($other, $shape);
    }

    /**
     * @param  array<mixed>  $strips
     * @param  array<array-key, array<mixed>>  $masks  by id
     */
    private static function collect(array $strips, array &$masks): void
    {
        foreach ($strips as $strip) {
            foreach (is_array($strip) && is_array($strip['masks'] ?? null) ? $strip['masks'] : [] as $mask) {
                if (is_array($mask) && is_string($mask['id'] ?? null)) {
                    $masks[$mask['id']] = $mask;
                }
            }
            self::collect(is_array($strip) && is_array($strip['strips'] ?? null) ? $strip['strips'] : [], $masks);
        }
    }

    /**
     * @param  array<mixed>  $strips
     * @param  array<array-key, array<mixed>>  $masks
     * @return list<mixed>
     *
     * @throws SceneError
     */
    private static function each(array $strips, array $masks): array
    {
        return array_values(array_map(static function (mixed $strip) use ($masks): mixed {
            if (! is_array($strip)) {
                return $strip;
            }
            if (is_array($strip['masks'] ?? null)) {
                $strip['masks'] = array_map(static fn (mixed $mask): mixed => is_array($mask) && isset($mask['uses']) ? self::shaped($mask, self::used($mask['uses'], $masks)) : $mask, $strip['masks']);
            }

            return is_array($strip['strips'] ?? null) ? ['strips' => self::each($strip['strips'], $masks)] + $strip : $strip;
        }, $strips));
    }

    /**
     * @param  array<array-key, array<mixed>>  $masks
     * @return array<mixed>
     *
     * @throws SceneError
     */
    private static function used(mixed $id, array $masks): array
    {
        $other = is_string($id) ? $masks[$id] ?? null : null;
        if ($other === null || isset($other['uses']) || ($other['on'] ?? Ground::Scene->value) !== Ground::Scene->value) {
            throw SceneError::expected('masks.uses', 'the id of a mask of this scene with a shape of its own, in a falloff', $id);
        }

        return $other;
    }
}
