<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Stand;

/**
 * The line on the ground over which a cut-out stands: level through its one foot, straight through two, from foot to foot through
 * more, and level beyond them.
 */
final readonly class ContactRow
{
    /** Two feet make a stretch when they are so far apart, in widths of the outline. */
    private const APART = 0.1;

    /** A stretch is not steeper than this. */
    private const STEEPEST = 0.7;

    /**
     * @param  non-empty-list<array{middle: Point, slope: float, from: Point|null, to: Point|null}>  $stretches  from left to right: a point on each, its
     *                                                                                                 slope, and the feet between which it runs
     */
    private function __construct(public array $stretches)
    {
    }

    public static function of(Stand $stand): self
    {
        $feet = self::apart($stand);
        $straight = static fn (Point $one, Point $other): array => ['middle' => new Point(($one->x + $other->x) / 2, ($one->y + $other->y) / 2), 'slope' => ($other->y - $one->y) / ($other->x - $one->x)];
        if (count($feet) < 2) {
            // feet that make no row: a level one through the lowest
            return new self([['middle' => new Point($stand->foot()->x, max(array_column($stand->feet, 'y'))), 'slope' => 0.0, 'from' => null, 'to' => null]]);
        }
        $last = $feet[count($feet) - 1];
        if (count($feet) === 2) {
            return new self([[...$straight($feet[0], $last), 'from' => null, 'to' => null]]);
        }
        $stretches = [['middle' => $feet[0], 'slope' => 0.0, 'from' => null, 'to' => $feet[0]]];
        for ($k = 1; $k < count($feet); $k++) {
            $stretches[] = [...$straight($feet[$k - 1], $feet[$k]), 'from' => $feet[$k - 1], 'to' => $feet[$k]];
        }

        return new self([...$stretches, ['middle' => $last, 'slope' => 0.0, 'from' => $last, 'to' => null]]);
    }

    /** Whether it goes from foot to foot, so that what stands on it is no flat sheet. */
    public function isBroken(): bool
    {
        return count($this->stretches) > 1;
    }

    /** Whether two feet were marked that make no row: they are too near to each other, or it would be too steep. */
    public static function isNone(Stand $stand): bool
    {
        return count($stand->feet) === 2 && count(self::apart($stand)) < 2;
    }

    public function key(): string
    {
        return implode(' ', array_map(static fn (array $stretch): string => "{$stretch['middle']->x} {$stretch['middle']->y} {$stretch['slope']}", $this->stretches));
    }

    /**
     * The feet from left to right, of those that make no stretch with their neighbour only the lower one.
     *
     * @return list<Point>
     */
    private static function apart(Stand $stand): array
    {
        $feet = $stand->feet;
        usort($feet, static fn (Point $one, Point $other): int => $one->x <=> $other->x);
        $least = max(1e-6, self::APART * ($stand->box->right - $stand->box->left));
        $kept = [];
        foreach ($feet as $foot) {
            while ($kept !== [] && self::makesNone($kept[count($kept) - 1], $foot, $least)) {
                $before = array_pop($kept);
                if ($before->y > $foot->y) {
                    $foot = $before;
                }
            }
            $kept[] = $foot;
        }

        return $kept;
    }

    private static function makesNone(Point $one, Point $other, float $least): bool
    {
        $across = $other->x - $one->x;

        return $across < $least || abs($other->y - $one->y) > self::STEEPEST * $across;
    }
}
