<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;

/** Up to three places of something that were dragged elsewhere. */
final readonly class Bends
{
    public const MOST = 3;

    /** Further than so many heights of what is bent nothing is dragged. */
    private const FURTHEST = 20.0;

    /**
     * @param  list<array{at: Point, by: Point}>  $all  at: shares of the width from the left and of the height from below; by: so
     *                                                  many heights to the right and down
     */
    private function __construct(public array $all)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'at most '.self::MOST.' bends', $raw);
        }
        $all = [];
        foreach ($raw as $k => $bend) {
            $by = Point::read(is_array($bend) ? $bend['by'] ?? null : null, "{$field}[{$k}].by");
            if (max(abs($by->x), abs($by->y)) > self::FURTHEST) {
                throw SceneError::expected("{$field}[{$k}].by", 'at most '.self::FURTHEST.' heights', $by->toArray());
            }
            $all[] = ['at' => Point::read(is_array($bend) ? $bend['at'] ?? null : null, "{$field}[{$k}].at"), 'by' => $by];
        }

        return new self($all);
    }

    /** The same with one of them, or a new one, elsewhere. */
    public function with(int $which, Point $at, Point $by): self
    {
        $all = $this->all;
        $all[min($which, count($all), self::MOST - 1)] = ['at' => $at, 'by' => new Point(max(-self::FURTHEST, min(self::FURTHEST, $by->x)), max(-self::FURTHEST, min(self::FURTHEST, $by->y)))];

        return new self($all);
    }

    /** Left and right exchanged. */
    public function mirrored(): self
    {
        return new self(array_map(static fn (array $bend): array => ['at' => new Point(1 - $bend['at']->x, $bend['at']->y), 'by' => new Point(-$bend['by']->x, $bend['by']->y)], $this->all));
    }

    /** @return list<array{at: array{float, float}, by: array{float, float}}> */
    public function toArray(): array
    {
        return array_map(static fn (array $bend): array => ['at' => $bend['at']->toArray(), 'by' => $bend['by']->toArray()], $this->all);
    }
}
