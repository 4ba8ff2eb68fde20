<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;

/** Where the upper left, upper right, lower right and lower left corner of a picture come to lie, in its own pixels. */
final readonly class Corners
{
    /** @param  array{Point, Point, Point, Point}  $points */
    private function __construct(public array $points)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) !== 4) {
            throw SceneError::expected($field, 'four corners [x, y]', $raw);
        }
        $points = array_map(static fn (mixed $corner, int $at): Point => Point::read($corner, "{$field}[{$at}]"), $raw, array_keys($raw));
        $turns = [];
        for ($k = 0; $k < 4; $k++) {
            [$a, $b, $c] = [$points[$k], $points[($k + 1) % 4], $points[($k + 2) % 4]];
            $turns[] = ($b->x - $a->x) * ($c->y - $b->y) - ($b->y - $a->y) * ($c->x - $b->x);
        }
        // a corner that is almost straight would make the picture infinitely steep there
        $least = 1e-4 * max(array_map(abs(...), $turns));
        if (! (min($turns) > $least && $least > 0)) {
            throw new SceneError($field, 'the four corners must go clockwise round a quadrilateral without a dent');
        }

        /** @var array{Point, Point, Point, Point} $points */
        return new self($points);
    }

    /** The map that takes a picture's own corners there. */
    public function fit(int $width, int $height): Homography
    {
        return Homography::between([new Point(0, 0), new Point($width, 0), new Point($width, $height), new Point(0, $height)], $this->points);
    }

    /** @return list<array{float, float}> */
    public function toArray(): array
    {
        return array_map(static fn (Point $point): array => $point->toArray(), $this->points);
    }
}
