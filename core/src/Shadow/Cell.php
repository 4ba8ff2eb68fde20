<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

/** A square of pixels between four places of which it is known how they are gathered: in it that changes evenly. */
final readonly class Cell
{
    private function __construct(private Gather $upperLeft, private Gather $upperRight, private Gather $lowerLeft, private Gather $lowerRight, private bool $isAll)
    {
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
        return self::ends($this->upperLeft->x, $this->upperRight->x, $this->lowerLeft->x, $this->lowerRight->x, $down);
    }

    /** @return array{float, float} the same, px down */
    public function upright(float $down): array
    {
        return self::ends($this->upperLeft->y, $this->upperRight->y, $this->lowerLeft->y, $this->lowerRight->y, $down);
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
