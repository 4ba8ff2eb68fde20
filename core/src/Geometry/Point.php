<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;

/** A place in scene pixels: x to the right, y down, pixel centres at +0.5. */
final readonly class Point
{
    /** Where a point may lie, in scene pixels: far outside every picture that is accepted. */
    public const FAR = 1e6;

    public function __construct(public float $x, public float $y)
    {
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        $x = is_array($raw) ? $raw[0] ?? null : null;
        $y = is_array($raw) ? $raw[1] ?? null : null;
        if (! is_array($raw) || count($raw) !== 2 || ! (is_int($x) || is_float($x)) || ! (is_int($y) || is_float($y))
            || ! (abs($x) <= self::FAR && abs($y) <= self::FAR)) {
            throw SceneError::expected($field, 'a point [x, y] in scene pixels, within a million of the corner', $raw);
        }

        return new self((float) $x, (float) $y);
    }

    public function plus(float $dx, float $dy): self
    {
        return new self($this->x + $dx, $this->y + $dy);
    }

    public function distanceTo(self $other): float
    {
        return hypot($other->x - $this->x, $other->y - $this->y);
    }

    /** @return array{float, float} */
    public function toArray(): array
    {
        return [$this->x, $this->y];
    }
}
