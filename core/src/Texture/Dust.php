<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Raster\Noise;

/**
 * Dust: one speck in each cell of edge 1000 / sqrt(count per megapixel), its place, its nearness and whether it is out of focus
 * drawn from the hash of the cell. Specks add up to at most 1. They are worked out in full-size pixels, and averaged for larger ones.
 */
final readonly class Dust
{
    /** An edge of a cell, px, that a count of 1 a megapixel has. */
    private const EDGE = 1000.0;

    /** So many sigmas off nothing is left of a speck out of focus. */
    private const FAR = 3.5;

    public float $edge;

    /**
     * @param  float  $count  specks a megapixel
     * @param  float  $least  radius of the furthest ones, scene pixels
     * @param  float  $most  radius of the nearest ones
     * @param  float  $blurred  0..1, the share of those out of focus
     */
    public function __construct(private float $count, private float $least, private float $most, private float $blurred, private int $seed)
    {
        $this->edge = self::EDGE / sqrt($count);
    }

    /**
     * The speck of a cell: x, y, radius, and its nearness 0..1 when it is out of focus.
     *
     * @return array{float, float, float, float|null}
     */
    public function speck(int $i, int $j): array
    {
        $draw = fn (int $k): float => Noise::at($i, $j, $this->seed + $k) / 4294967296;
        $near = $draw(3);

        return [
            ($i + $draw(1)) * $this->edge, ($j + $draw(2)) * $this->edge,
            $this->least * ($this->most / $this->least) ** ($near * $near), $draw(4) < $this->blurred ? $near : null,
        ];
    }

    /**
     * How much of it a speck covers at a distance: an antialiased disc, or out of focus a Gaussian as strong as the disc would be.
     *
     * @param  float|null  $near  its nearness when it is out of focus
     */
    public static function cover(float $distance, float $radius, ?float $near): float
    {
        if ($near === null) {
            return max(0.0, min(1.0, $radius - $distance + 0.5));
        }
        $sigma = $radius * (0.5 + $near);

        return exp(-$distance * $distance / (2 * $sigma * $sigma)) / (2 * (0.5 + $near) ** 2);
    }

    /** How far a speck reaches, px. */
    public static function reach(float $radius, ?float $near): float
    {
        return $near === null ? $radius + 0.5 : self::FAR * $radius * (0.5 + $near);
    }

    /** How far from its cell a speck may reach, px. */
    public function margin(): float
    {
        return max(self::reach($this->most, null), $this->blurred > 0 ? self::reach($this->most, 1.0) : 0.0);
    }

    /**
     * The cells whose specks may reach into a rectangle of the scene: first and last across, first and last down.
     *
     * @return array{int, int, int, int}
     */
    private function cells(?Homography $map, float $left, float $top, float $width, float $height, float $size): array
    {
        $margin = $this->margin() * $size;
        $back = $map?->inverse();
        $corners = array_map(
            static fn (array $corner): array => $back?->at(...$corner) ?? $corner,
            [[$left - $margin, $top - $margin], [$left + $width + $margin, $top - $margin], [$left - $margin, $top + $height + $margin], [$left + $width + $margin, $top + $height + $margin]],
        );
        [$x, $y] = [array_column($corners, 0), array_column($corners, 1)];

        return [(int) floor(min($x) / $this->edge), (int) floor(max($x) / $this->edge), (int) floor(min($y) / $this->edge), (int) floor(max($y) / $this->edge)];
    }

    /**
     * How much of it there is in the pixels of a rectangle, row after row.
     *
     * @param  float  $left  of the first pixel, scene pixels
     * @param  float  $top  of the first pixel
     * @param  float  $step  scene pixels to one
     * @param  Homography|null  $map  from where the specks were drawn to the scene, without perspective: they are moved, and stay round
     * @param  float  $strength  of each speck
     * @return list<float>
     */
    public function rectangle(float $left, float $top, int $columns, int $rows, float $step, ?Homography $map = null, float $strength = 1.0): array
    {
        $sums = array_fill(0, $columns * $rows, 0.0);
        $size = $map?->scaleAt(0, 0) ?? 1.0;
        // a pixel that is larger than a full-size one is the mean of as many places in it
        $count = (int) max(1, round($step));
        $parts = array_map(static fn (int $part): float => ($part + 0.5) / $count, range(0, $count - 1));
        $share = $strength / ($count * $count);
        [$fromI, $lastI, $fromJ, $lastJ] = $this->cells($map, $left, $top, $columns * $step, $rows * $step, $size);
        for ($j = $fromJ; $j <= $lastJ; $j++) {
            for ($i = $fromI; $i <= $lastI; $i++) {
                [$x, $y, $radius, $near] = $this->speck($i, $j);
                [$x, $y] = $map?->at($x, $y) ?? [$x, $y];
                $radius *= $size;
                $reach = self::reach($radius, $near);
                for ($row = (int) max(0, floor(($y - $reach - $top) / $step)), $lastRow = min($rows - 1, floor(($y + $reach - $top) / $step)); $row <= $lastRow; $row++) {
                    for ($column = (int) max(0, floor(($x - $reach - $left) / $step)), $lastColumn = min($columns - 1, floor(($x + $reach - $left) / $step)); $column <= $lastColumn; $column++) {
                        $sum = 0.0;
                        foreach ($parts as $down) {
                            foreach ($parts as $across) {
                                $sum += self::cover(hypot($left + ($column + $across) * $step - $x, $top + ($row + $down) * $step - $y), $radius, $near);
                            }
                        }
                        $sums[$row * $columns + $column] += $share * $sum;
                    }
                }
            }
        }
        $values = [];
        foreach ($sums as $value) {
            $values[] = $value < 1.0 ? $value : 1.0;
        }

        return $values;
    }
}
