<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use InvalidArgumentException;

/**
 * The perspective map that takes four points to four others: the direct linear transform (Hartley and Zisserman,
 * *Multiple View Geometry in Computer Vision*, section 4.1), with the last entry set to 1 and solved by elimination.
 */
final readonly class Homography
{
    /** Pivots below this share of the largest entry mean that three of the points lie on a line. */
    private const FLAT = 1e-10;

    /** @param  array{float, float, float, float, float, float, float, float, float}  $h  row after row */
    private function __construct(public array $h)
    {
    }

    /** @param  array{float, float, float, float, float, float, float, float, float}  $h  row after row */
    public static function of(array $h): self
    {
        return new self($h);
    }

    /**
     * @param  array{Point, Point, Point, Point}  $from
     * @param  array{Point, Point, Point, Point}  $to
     *
     * @throws InvalidArgumentException when three of the points of one side lie on a line
     */
    public static function between(array $from, array $to): self
    {
        $rows = [];
        foreach ($from as $k => $p) {
            $q = $to[$k];
            $rows[] = [$p->x, $p->y, 1.0, 0.0, 0.0, 0.0, -$q->x * $p->x, -$q->x * $p->y, $q->x];
            $rows[] = [0.0, 0.0, 0.0, $p->x, $p->y, 1.0, -$q->y * $p->x, -$q->y * $p->y, $q->y];
        }

        return new self(self::solve($rows));
    }

    /** The way back, by the adjugate matrix. */
    public function inverse(): self
    {
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $this->h;
        $determinant = $a * ($e * $i - $f * $h) - $b * ($d * $i - $f * $g) + $c * ($d * $h - $e * $g);

        return new self([
            ($e * $i - $f * $h) / $determinant, ($c * $h - $b * $i) / $determinant, ($b * $f - $c * $e) / $determinant,
            ($f * $g - $d * $i) / $determinant, ($a * $i - $c * $g) / $determinant, ($c * $d - $a * $f) / $determinant,
            ($d * $h - $e * $g) / $determinant, ($b * $g - $a * $h) / $determinant, ($a * $e - $b * $d) / $determinant,
        ]);
    }

    /** First the other map, then this one. */
    public function after(self $other): self
    {
        $h = [];
        for ($row = 0; $row < 3; $row++) {
            for ($column = 0; $column < 3; $column++) {
                $h[] = $this->h[3 * $row] * $other->h[$column] + $this->h[3 * $row + 1] * $other->h[3 + $column] + $this->h[3 * $row + 2] * $other->h[6 + $column];
            }
        }

        /** @var array{float, float, float, float, float, float, float, float, float} $h */
        return new self($h);
    }

    /** A map without perspective: x' = a x + b y + c, y' = d x + e y + f. */
    public static function affine(float $a, float $b, float $c, float $d, float $e, float $f): self
    {
        return new self([$a, $b, $c, $d, $e, $f, 0.0, 0.0, 1.0]);
    }

    public function map(Point $point): Point
    {
        [$x, $y] = $this->at($point->x, $point->y);

        return new Point($x, $y);
    }

    /** Whether a place is mapped to one: on one line of the plane it goes to infinity. */
    public function reaches(float $x, float $y): bool
    {
        return $this->h[6] * $x + $this->h[7] * $y + $this->h[8] !== 0.0;
    }

    /** @return array{float, float} */
    public function at(float $x, float $y): array
    {
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $this->h;
        $w = $g * $x + $h * $y + $i;

        return [($a * $x + $b * $y + $c) / $w, ($d * $x + $e * $y + $f) / $w];
    }

    public function isAffine(): bool
    {
        return abs($this->h[6]) < 1e-15 && abs($this->h[7]) < 1e-15;
    }

    /** How much longer a short way becomes at a place, on the average of all directions. */
    public function scaleAt(float $x, float $y): float
    {
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $this->h;
        $determinant = $a * ($e * $i - $f * $h) - $b * ($d * $i - $f * $g) + $c * ($d * $h - $e * $g);

        return sqrt(abs($determinant / ($g * $x + $h * $y + $i) ** 3));
    }

    /** @return array{float, float, float, float} how x' and y' change with x and y there: dx'/dx, dx'/dy, dy'/dx, dy'/dy */
    public function jacobian(float $x, float $y): array
    {
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $this->h;
        $w = $g * $x + $h * $y + $i;
        [$u, $v] = [($a * $x + $b * $y + $c) / $w, ($d * $x + $e * $y + $f) / $w];

        return [($a - $u * $g) / $w, ($b - $u * $h) / $w, ($d - $v * $g) / $w, ($e - $v * $h) / $w];
    }

    public function key(): string
    {
        return implode(' ', $this->h);
    }

    /**
     * Elimination with the largest pivot.
     *
     * @param  list<list<float>>  $rows  eight equations, the right side last
     * @return array{float, float, float, float, float, float, float, float, float}
     */
    private static function solve(array $rows): array
    {
        $scale = max(1.0, ...array_map(abs(...), array_merge(...$rows)));
        for ($k = 0; $k < 8; $k++) {
            $pivot = $k;
            for ($row = $k + 1; $row < 8; $row++) {
                if (abs($rows[$row][$k]) > abs($rows[$pivot][$k])) {
                    $pivot = $row;
                }
            }
            if (abs($rows[$pivot][$k]) < self::FLAT * $scale) {
                throw new InvalidArgumentException('three of the four points lie on a line');
            }
            [$rows[$k], $rows[$pivot]] = [$rows[$pivot], $rows[$k]];
            for ($row = 0; $row < 8; $row++) {
                $factor = $row === $k ? 0.0 : $rows[$row][$k] / $rows[$k][$k];
                for ($column = $k; $column < 9 && $factor != 0.0; $column++) {
                    $rows[$row][$column] -= $factor * $rows[$k][$column];
                }
            }
        }
        $h = static fn (int $k): float => $rows[$k][8] / $rows[$k][$k];

        return [$h(0), $h(1), $h(2), $h(3), $h(4), $h(5), $h(6), $h(7), 1.0];
    }
}
