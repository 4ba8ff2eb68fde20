<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;

/** A straight line from one point to another, not the same. */
final readonly class Line
{
    private const SHORTEST = 1.0;

    private function __construct(public Point $from, public Point $to)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) !== 2) {
            throw SceneError::expected($field, 'two points [[x, y], [x, y]]', $raw);
        }
        $line = new self(Point::read($raw[0], "{$field}[0]"), Point::read($raw[1], "{$field}[1]"));
        if ($line->from->distanceTo($line->to) < self::SHORTEST) {
            throw new SceneError($field, 'this line is too short: draw it over at least 1 px');
        }

        return $line;
    }

    /** @return list<array{float, float}> */
    public function toArray(): array
    {
        return [$this->from->toArray(), $this->to->toArray()];
    }
}
