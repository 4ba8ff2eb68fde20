<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Homography;

/**
 * How a place of a shadow is gathered from a stack: by places along the longer axis of its Gaussian, each read at the level
 * of the shorter one.
 */
final class Gather
{
    /** Places on each side of the middle one at most. */
    public const MOST_ASIDE = 14;

    /** A variance that is larger by less than this share is not told apart. */
    private const ROUND = 0.08;

    /** Places lie at most so far apart, in sigmas of the shorter axis. */
    private const APART = 2.0;

    /** The outermost of them, in sigmas of what is left of the longer axis. */
    private const OUTERMOST = 2.2;

    /** The value gathered here, once it is needed. */
    private ?float $value = null;

    /**
     * @param  float  $u  of the place in the cut-out, scene pixels
     * @param  float  $level  of the stack, as {@see StackReader::level()} gives it
     * @param  float  $x  of one end of the axis along which places lie, its length the sigma
     * @param  int  $aside  places on each side
     * @param  float  $left  0..1, the share of the density that is left
     * @param  float  $soft  the smaller sigma as it is seen, px
     * @param  int  $around  the level at which it is told whether there is anything
     * @param  bool  $isNothing  whether nothing is there, far beyond what is gathered
     * @param  bool  $isWhole  whether all is there
     */
    private function __construct(
        public readonly float $u,
        public readonly float $v,
        public readonly float $level,
        public readonly float $x,
        public readonly float $y,
        public readonly int $aside,
        public readonly float $left,
        public readonly float $soft,
        public readonly int $around,
        public readonly bool $isNothing,
        public readonly bool $isWhole,
    ) {
    }

    /**
     * @param  Softness  $soft  in the picture
     * @param  Homography  $map  to the cut-out
     * @param  float  $pixel  scene pixels to one that is rendered
     * @param  int  $cell  pixels that lie about the place
     */
    public static function of(Softness $soft, Homography $map, float $x, float $y, float $pixel, int $cell, StackReader $stack): self
    {
        [$u, $v] = $map->at($x, $y);
        [$ux, $uy, $vx, $vy] = $map->jacobian($x, $y);
        // each pixel is a mean over its own square
        $square = $pixel * $pixel / 12;
        [$pxx, $pxy, $pyy] = [$soft->xx + $square, $soft->xy, $soft->yy + $square];
        $xx = $ux * $ux * $pxx + 2 * $ux * $uy * $pxy + $uy * $uy * $pyy;
        $xy = $ux * $vx * $pxx + ($ux * $vy + $uy * $vx) * $pxy + $uy * $vy * $pyy;
        $yy = $vx * $vx * $pxx + 2 * $vx * $vy * $pxy + $vy * $vy * $pyy;
        $middle = ($xx + $yy) / 2;
        $half = sqrt((($xx - $yy) / 2) ** 2 + $xy * $xy);
        $small = max(1e-9, $middle - $half);
        // looked at more softly than it is gathered it tells whether there is anything to gather
        $around = min($stack->last(), 1 + (int) $stack->level(4 * ($middle + $half)));
        // and more softly than the cell is wide, whether there is anything in all of it
        $there = $stack->gathered($u, $v, $stack->level(max(4 * ($middle + $half), $cell * $cell * $pixel * $pixel * ($ux * $ux + $uy * $uy + $vx * $vx + $vy * $vy))), 0.0, 0.0, 0);
        [$isNothing, $isWhole] = [$there < StackReader::NOTHING, $there > 1 - StackReader::NOTHING];
        if (2 * $half < self::ROUND * $small) {
            return new self($u, $v, $stack->level($middle), 0.0, 0.0, 0, $soft->left, $soft->smaller, $around, $isNothing, $isWhole);
        }
        $angle = atan2(2 * $xy, $xx - $yy) / 2;
        $length = sqrt(2 * $half);
        $aside = (int) min(self::MOST_ASIDE, max(1, ceil(self::OUTERMOST / self::APART * sqrt(2 * $half / $small))));

        return new self($u, $v, $stack->level($small), $length * cos($angle), $length * sin($angle), $aside, $soft->left, $soft->smaller, $around, $isNothing, $isWhole);
    }

    /** 1 where its axis points to the same side as another one, else -1: to which of its ends it points means nothing. */
    public function side(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y < 0 ? -1.0 : 1.0;
    }

    public function value(StackReader $stack): float
    {
        return $this->value ??= $stack->gathered($this->u, $this->v, $this->level, $this->x, $this->y, $this->aside);
    }

    /**
     * Where the places lie, in sigmas, and their weights: three as Gauss and Hermite have them, more evenly apart; the variance
     * is 1 and the sum 1.
     *
     * @return array<int, array{list<float>, list<float>}> by the number aside
     */
    public static function places(): array
    {
        /** @var array<int, array{list<float>, list<float>}> $known */
        static $known = [];
        if ($known !== []) {
            return $known;
        }
        $known = [[[0.0], [1.0]], [[-sqrt(3), 0.0, sqrt(3)], [1 / 6, 2 / 3, 1 / 6]]];
        for ($aside = 2; $aside <= self::MOST_ASIDE; $aside++) {
            $offsets = array_map(static fn (int $k): float => $k * self::OUTERMOST / $aside, range(-$aside, $aside));
            $weights = array_map(static fn (float $t): float => exp(-$t * $t / 2), $offsets);
            $sum = array_sum($weights);
            $weights = array_map(static fn (float $weight): float => $weight / $sum, $weights);
            $spread = sqrt(array_sum(array_map(static fn (float $t, float $weight): float => $t * $t * $weight, $offsets, $weights)));
            $known[] = [array_map(static fn (float $t): float => $t / $spread, $offsets), $weights];
        }

        return $known;
    }
}
