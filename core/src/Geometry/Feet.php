<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;

/** One or two points on which something stands. */
final readonly class Feet
{
    /** @param  list<Point>  $points  one or two */
    private function __construct(public array $points)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) < 1 || count($raw) > 2) {
            throw SceneError::expected($field, 'one or two points [x, y]', $raw);
        }

        return new self(array_map(static fn (mixed $foot, int $at): Point => Point::read($foot, "{$field}[{$at}]"), $raw, array_keys($raw)));
    }

    /** @return list<array{float, float}> */
    public function toArray(): array
    {
        return array_map(static fn (Point $foot): array => $foot->toArray(), $this->points);
    }
}
