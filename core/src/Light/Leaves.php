<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Raster\Noise;

/**
 * Light through leaves: pointed leaves lie about in the cells of a lattice, three a cell, and cover what is under them. Drawn
 * from a hash, so that a seed always gives the same crown.
 */
final readonly class Leaves implements UnitDrawing
{
    private const A_CELL = 3;

    /** The longest leaf, of a cell. */
    private const LONGEST = 0.8;

    /** Squares along a cell, for each of which it is known which leaves may reach into it. */
    private const SQUARES = 4;

    /** How far the softness of a leaf may go, of a cell. */
    private const ROOM = 0.05;

    /** The last place before the right and the lower side. */
    private const LAST = 0.999999;

    /** Places larger than this share of a cell are taken as four. */
    private const COARSE = 0.07;

    /**
     * @param  int  $count  cells across and down
     * @param  float  $density  0..1, how many of the leaves there are
     * @param  array<int, list<array{float, float, float, float, float, float}>>  $near  the leaves that may reach into a square, once they are grown: place, direction, half length and half width of each
     */
    public function __construct(private int $count, private float $density, private int $seed, private array $near = [])
    {
    }

    /** They are grown only when they are drawn. */
    public function prepared(): self
    {
        [$count, $density, $seed, $squares] = [$this->count, $this->density, $this->seed, $this->count * self::SQUARES];
        $near = [];
        for ($j = -1; $j <= $count; $j++) {
            for ($i = -1; $i <= $count; $i++) {
                for ($n = 0; $n < self::A_CELL; $n++) {
                    $draw = static fn (int $k): float => Noise::at($i, $j, $seed + 16 * $n + $k) / 4294967296;
                    if ($draw(1) >= $density) {
                        continue;
                    }
                    $turn = M_PI * $draw(4);
                    $long = self::LONGEST * (0.6 + 0.4 * $draw(5));
                    $leaf = [$x, $y, $cos, $sin, , $wide] = [$i + $draw(2), $j + $draw(3), cos($turn), sin($turn), $long, $long * (0.26 + 0.12 * $draw(6))];
                    // its box, and a little for its softness
                    [$across, $down] = [$long * abs($cos) + $wide * abs($sin) + self::ROOM, $long * abs($sin) + $wide * abs($cos) + self::ROOM];
                    for ($v = self::square($y - $down, $count), $lastV = self::square($y + $down, $count); $v <= $lastV; $v++) {
                        for ($u = self::square($x - $across, $count), $lastU = self::square($x + $across, $count); $u <= $lastU; $u++) {
                            $near[$v * $squares + $u][] = $leaf;
                        }
                    }
                }
            }
        }

        return new self($count, $density, $seed, $near);
    }

    /** The square that a place is in, the first one before the crown and the last one behind it. */
    private static function square(float $place, int $count): int
    {
        return (int) max(0, min($count * self::SQUARES - 1, floor($place * self::SQUARES)));
    }

    /** By hand: which leaves are near a place follows from the rest, and is long. */
    public function key(): string
    {
        return "leaves {$this->count} {$this->density} {$this->seed}";
    }

    public function mean(float $u, float $v, float $du, float $dv): float
    {
        $part = 1.0;
        if ($u < $du || $v < $dv || $u + $du > self::LAST || $v + $dv > self::LAST) {
            // the square's border cuts it off
            $part = (min(1.0, $u + $du) - max(0.0, $u - $du)) * (min(1.0, $v + $dv) - max(0.0, $v - $dv)) / (4 * $du * $dv);
            $u = max(0.0, min(self::LAST, $u));
            $v = max(0.0, min(self::LAST, $v));
        }
        $x = $u * $this->count;
        $y = $v * $this->count;
        $soft = ($du + $dv) * $this->count;
        if ($soft < self::COARSE) {
            return $part * $this->at($x, $y, max(1e-6, $soft));
        }
        // between leaves there are slits that a large place would miss
        $last = self::LAST * $this->count;
        $left = max(0.0, $x - 0.5 * $du * $this->count);
        $right = min($last, $x + 0.5 * $du * $this->count);
        $up = max(0.0, $y - 0.5 * $dv * $this->count);
        $down = min($last, $y + 0.5 * $dv * $this->count);

        return $part * ($this->at($left, $up, $soft / 2) + $this->at($right, $up, $soft / 2) + $this->at($left, $down, $soft / 2) + $this->at($right, $down, $soft / 2)) / 4;
    }

    /** @param  float  $soft  over how much of a cell an edge is softened */
    private function at(float $x, float $y, float $soft): float
    {
        $open = 1.0;
        foreach ($this->near[(int) ($y * self::SQUARES) * $this->count * self::SQUARES + (int) ($x * self::SQUARES)] ?? [] as [$leafX, $leafY, $cos, $sin, $long, $wide]) {
            $dx = $x - $leafX;
            $dy = $y - $leafY;
            $along = $dx * $cos + $dy * $sin;
            if ($along <= -$long || $along >= $long) {
                continue;
            }
            $along /= $long;
            $across = $dy * $cos - $dx * $sin;
            // pointed at both ends
            $inside = $wide * (1.0 - $along * $along) - ($across < 0.0 ? -$across : $across);
            $cover = $inside / $soft + 0.5;
            if ($cover >= 1.0) {
                return 0.0;
            }
            if ($cover > 0.0) {
                $open *= 1.0 - $cover;
            }
        }

        return $open;
    }
}
