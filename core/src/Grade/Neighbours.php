<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

/**
 * A plate and what lies around it brought together, one way or the other, as strips of a scene file without ids and names.
 *
 * @phpstan-type Brought array{kind: string, mode: string, amount: float, masks: list<array<string, mixed>>, values: array<string, mixed>}
 */
final class Neighbours
{
    /**
     * Over a plate, and confined to it.
     *
     * @return Brought
     */
    public static function around(): array
    {
        return self::match(['toward' => Matching::AROUND]);
    }

    /**
     * Under a plate.
     *
     * @return Brought
     */
    public static function toward(string $plate): array
    {
        return self::match(['toward' => Matching::PLATE, 'like' => $plate]);
    }

    /**
     * @param  array<string, mixed>  $values
     * @return Brought
     */
    private static function match(array $values): array
    {
        return ['kind' => Matching::key(), 'mode' => 'normal', 'amount' => Matching::placedAmount(), 'masks' => [], 'values' => $values];
    }
}
