<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

/** A square of pixels between four places of which it is known how they are gathered: in it that changes evenly. */
final readonly class Cell
{
    /** Levels that differ by no more than so much go evenly from corner to corner. */
    private const EVEN = 0.5;

    /** @var array{float, float, float, float} by which each corner's axis is turned to one side, so that between two of them it does not turn round */
    private array $sides;

    private function __construct(private Gather $upperLeft, private Gather $upperRight, private Gather $lowerLeft, private Gather $lowerRight, private bool $isAll)
    {
        $longest = $upperLeft;
        foreach ([$upperRight, $lowerLeft, $lowerRight] as $corner) {
            if (hypot($corner->x, $corner->y) > hypot($longest->x, $longest->y)) {
                $longest = $corner;
            }
        }
        $this->sides = [$upperLeft->side($longest), $upperRight->side($longest), $lowerLeft->side($longest), $lowerRight->side($longest)];
    }

    /** Null where nothing is thrown, or nothing is there. What is not known at a corner is taken from another one. */
    public static function between(?Gather $upperLeft, ?Gather $upperRight, ?Gather $lowerLeft, ?Gather $lowerRight): ?self
    {
        $any = $upperLeft ?? $upperRight ?? $lowerLeft ?? $lowerRight;
        if ($any === null) {
            return null;
        }
        $cell = new self($upperLeft ?? $any, $upperRight ?? $any, $lowerLeft ?? $any, $lowerRight ?? $any, $upperLeft !== null && $upperRight !== null && $lowerLeft !== null && $lowerRight !== null);

        return $cell->upperLeft->isNothing && $cell->upperRight->isNothing && $cell->lowerLeft->isNothing && $cell->lowerRight->isNothing ? null : $cell;
    }

    /** Whether how it is gathered differs from corner to corner by more than goes evenly, or is not known at one of them. */
    public function changes(): bool
    {
        if ($this->isWhole()) {
            return false;
        }
        $corners = [$this->upperLeft, $this->upperRight, $this->lowerLeft, $this->lowerRight];
        $levels = array_map(static fn (Gather $corner): float => $corner->level, $corners);
        $lengths = array_map(static fn (Gather $corner): float => hypot($corner->x, $corner->y), $corners);

        return ! $this->isAll || max($levels) - min($levels) > self::EVEN || max($lengths) > 2 ** (self::EVEN / 2) * min($lengths);
    }

    /** Whether all of it is covered. */
    public function isWhole(): bool
    {
        return $this->upperLeft->isWhole && $this->upperRight->isWhole && $this->lowerLeft->isWhole && $this->lowerRight->isWhole;
    }

    /** Whether the shadow is so soft in it that its corners are enough. */
    public function isSofterThan(float $soft): bool
    {
        return $this->isAll && min($this->upperLeft->soft, $this->upperRight->soft, $this->lowerLeft->soft, $this->lowerRight->soft) > $soft;
    }

    /** Places on each side of the middle one. */
    public function aside(): int
    {
        return max($this->upperLeft->aside, $this->upperRight->aside, $this->lowerLeft->aside, $this->lowerRight->aside);
    }

    /** The level at which it is told whether there is anything. */
    public function around(): int
    {
        return max($this->upperLeft->around, $this->upperRight->around, $this->lowerLeft->around, $this->lowerRight->around);
    }

    /**
     * The share of the density that is left in a row: at the left end, and at the right one.
     *
     * @param  float  $down  0..1
     * @return array{float, float}
     */
    public function left(float $down): array
    {
        return self::ends($this->upperLeft->left, $this->upperRight->left, $this->lowerLeft->left, $this->lowerRight->left, $down);
    }

    /** @return array{float, float} the level of the stack */
    public function level(float $down): array
    {
        return self::ends($this->upperLeft->level, $this->upperRight->level, $this->lowerLeft->level, $this->lowerRight->level, $down);
    }

    /** @return array{float, float} of the way along which places lie, px to the right */
    public function across(float $down): array
    {
        [$a, $b, $c, $d] = $this->sides;

        return self::ends($a * $this->upperLeft->x, $b * $this->upperRight->x, $c * $this->lowerLeft->x, $d * $this->lowerRight->x, $down);
    }

    /** @return array{float, float} the same, px down */
    public function upright(float $down): array
    {
        [$a, $b, $c, $d] = $this->sides;

        return self::ends($a * $this->upperLeft->y, $b * $this->upperRight->y, $c * $this->lowerLeft->y, $d * $this->lowerRight->y, $down);
    }

    /** @return array{float, float} what is gathered at its corners */
    public function value(StackReader $stack, float $down): array
    {
        return self::ends($this->upperLeft->value($stack), $this->upperRight->value($stack), $this->lowerLeft->value($stack), $this->lowerRight->value($stack), $down);
    }

    /** @return array{float, float} */
    private static function ends(float $upperLeft, float $upperRight, float $lowerLeft, float $lowerRight, float $down): array
    {
        return [$upperLeft + $down * ($lowerLeft - $upperLeft), $upperRight + $down * ($lowerRight - $upperRight)];
    }
}
