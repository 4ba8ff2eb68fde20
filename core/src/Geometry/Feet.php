<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;

/** The points on which something stands. */
final readonly class Feet
{
    /** Legs of a table, and two more. */
    public const MOST = 6;

    /** @param  list<Point>  $points  one to six */
    private function __construct(public array $points)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) < 1 || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'one to '.self::MOST.' points [x, y]', $raw);
        }

        return new self(array_map(static fn (mixed $foot, int $at): Point => Point::read($foot, "{$field}[{$at}]"), $raw, array_keys($raw)));
    }

    /** @return list<array{float, float}> */
    public function toArray(): array
    {
        return array_map(static fn (Point $foot): array => $foot->toArray(), $this->points);
    }
}
