<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

use Aumbrel\Core\Raster\Box;
use Aumbrel\Core\Raster\Distance;

/**
 * Where a body's light comes from, from its outline and its shading.
 *
 * Just inside the outline the surface's normals are known: they are the outline's. Brightness there follows
 * `ambient + strength max(0, n . l)` (Johnson and Farid, *Exposing digital forgeries by detecting inconsistencies in
 * lighting*, 2005); the azimuth is the one that fits best, outliers counting little. Inside, a dome stands in for the
 * unknown surface ({@see Dome}) and gives the third component. The spread comes from estimating again on stretches of the
 * outline drawn at random.
 */
final class OutlineEstimate
{
    public const LEAST_CONFIDENCE = 0.3;

    /** How far inside the outline brightness is read, px. */
    private const BAND = [2.0, 4.2];

    /** What the third components of light and normal add to the shade, relative to the light's part in the picture. */
    private const LIFTS = [-0.6, -0.3, 0.0, 0.4, 1.0, 2.0];

    private const RESAMPLES = 200;

    private const STRETCHES = 48;

    private const MOST_POINTS = 900;

    private const FEWEST_POINTS = 40;

    private const DOME_SIDE = 96;

    private const MOST_INSIDE = 1500;

    /** Materials that take up less than this share of the largest one are left out. */
    private const LEAST_SHARE = 0.12;

    /** How much of what outline and inside are apart counts as spread. */
    private const APART = 0.4;

    /** Degrees that a body turns the estimate of which one light explains nothing; set on bodies of known light. */
    private const MISFIT = 15.0;

    /** Blocks along a side of the small copy: what is drawn again when the inside is resampled. */
    private const BLOCK = 10;

    public static function of(LitBody $body): Estimate
    {
        $signed = Distance::signed($body->alpha, $body->columns, $body->rows);
        if (! is_finite($signed[0])) {
            return Estimate::refused('There is no outline to go by: the picture is not cut out. Cut the subject out first, or draw a shadow line.');
        }
        $contour = self::contour($body, $signed);
        $brightness = array_column(array_merge(...$contour), 3);
        if (count($brightness) < self::FEWEST_POINTS) {
            return Estimate::refused('The cut-out is too small to read its light: too few pixels lie along its outline.');
        }
        $contrast = self::contrast($brightness);
        $inside = self::inside($body, $signed);
        if ($contrast < 0.02 || $inside === []) {
            return Estimate::refused('The subject is the same brightness all round: nothing tells where its light comes from.');
        }

        return (new self($contour, $inside))->estimate();
    }

    /**
     * @param  list<list<array{float, float, float, float, float}>>  $contour  by material: normal (y up), 1 for the lift, brightness as a share of the material's mean, stretch
     * @param  list<list<array{float, float, float, float, float}>>  $inside  by material: normal (y up, z toward the viewer), brightness likewise, block
     */
    private function __construct(private readonly array $contour, private readonly array $inside)
    {
    }

    private function estimate(): Estimate
    {
        $azimuth = $this->azimuth();
        [$dome, $insideExplained] = $this->inSpace($azimuth);
        $contourSpread = self::spread($this->contour, $azimuth);
        $domeSpread = self::spread($this->inside, $dome->azimuth);
        // each counts by its own uncertainty; where they are apart, neither is as sure as it thinks
        $apart = fmod($dome->azimuth - $azimuth + 540, 360) - 180;
        $share = $contourSpread ** 2 / ($contourSpread ** 2 + $domeSpread ** 2);
        $bearing = new Bearing($azimuth + $share * $apart, $dome->elevation);
        $drawn = max(1.0, hypot($contourSpread * $domeSpread / hypot($contourSpread, $domeSpread), self::APART * $apart));
        // what one light leaves unexplained (a second one, patches) turns both alike, and drawing again does not show it
        $spread = hypot($drawn, self::MISFIT * sqrt(1 - $insideExplained));
        $confidence = self::confidence($insideExplained, $drawn, (new Bearing($azimuth, $dome->elevation))->angleTo($dome));

        return $confidence < self::LEAST_CONFIDENCE
            ? Estimate::refused('The shading does not agree with one light: the estimate would be a guess. Draw a shadow line, or turn the sphere by hand.', $confidence)
            : new Estimate($bearing, $spread, $confidence);
    }

    /** The azimuth that explains the brightness along the outline best, with outliers counting less in each round. */
    private function azimuth(): float
    {
        $weights = self::evenly($this->contour);
        $best = 0.0;
        foreach ([range(-180, 175, 5), 3.0, 1.0, 1.0] as $search) {
            $least = INF;
            $bestLift = 0.0;
            foreach (is_array($search) ? $search : self::around($best, $search, 9) as $candidate) {
                [$x, $y] = [cos(deg2rad((float) $candidate)), sin(deg2rad((float) $candidate))];
                foreach (self::LIFTS as $lift) {
                    $left = 0.0;
                    foreach ($this->contour as $k => $points) {
                        $left += self::fit($points, $weights[$k], [$x, $y, $lift])[0];
                    }
                    if ($left < $least) {
                        $least = $left;
                        $best = (float) $candidate;
                        $bestLift = $lift;
                    }
                }
            }
            $l = [cos(deg2rad($best)), sin(deg2rad($best)), $bestLift];
            foreach ($this->contour as $k => $points) {
                $weights[$k] = self::reweighted($points, $l, self::fit($points, $weights[$k], $l));
            }
        }

        return $best;
    }

    /**
     * @param  list<list<mixed>>  $points
     * @return list<list<float>>
     */
    private static function evenly(array $points): array
    {
        return array_map(static fn (array $own): array => array_fill(0, count($own), 1.0), $points);
    }

    /** @return list<float> */
    private static function around(float $centre, float $step, int $count): array
    {
        return array_map(static fn (int $k): float => $centre + $k * $step, range(-$count, $count));
    }

    /**
     * Least squares of brightness against `ambient + strength max(0, n . l)`.
     *
     * @param  list<array{float, float, float, float, float}>  $points
     * @param  list<float>  $weights
     * @param  array{float, float, float}  $l
     * @return array{float, float, float} the weighted sum of squares left over, ambient, strength
     */
    private static function fit(array $points, array $weights, array $l): array
    {
        [$lx, $ly, $lz] = $l;
        $n = $s = $ss = $b = $sb = $bb = 0.0;
        foreach ($points as $at => [$nx, $ny, $nz, $brightness]) {
            $weight = $weights[$at];
            $shade = $nx * $lx + $ny * $ly + $nz * $lz;
            $shade = $shade > 0.0 ? $shade : 0.0;
            $n += $weight;
            $s += $weight * $shade;
            $ss += $weight * $shade * $shade;
            $b += $weight * $brightness;
            $sb += $weight * $shade * $brightness;
            $bb += $weight * $brightness * $brightness;
        }

        return self::solved($n, $s, $ss, $b, $sb, $bb);
    }

    /** @return array{float, float, float} */
    private static function solved(float $n, float $s, float $ss, float $b, float $sb, float $bb): array
    {
        $determinant = $n * $ss - $s * $s;
        $strength = $determinant > 1e-12 * $n * $n ? ($n * $sb - $s * $b) / $determinant : 0.0;
        $strength = max(0.0, $strength);
        $ambient = ($b - $strength * $s) / $n;
        if ($ambient < 0) {
            $ambient = 0.0;
            $strength = $ss > 0 ? max(0.0, $sb / $ss) : 0.0;
        }
        $left = $bb - 2 * $ambient * $b - 2 * $strength * $sb + $n * $ambient * $ambient + 2 * $ambient * $strength * $s + $strength * $strength * $ss;

        return [max(0.0, $left), $ambient, $strength];
    }

    /**
     * Tukey's biweight on what the fit leaves over.
     *
     * @param  list<array{float, float, float, float, float}>  $points
     * @param  array{float, float, float}  $l
     * @param  array{float, float, float}  $fit
     * @return list<float>
     */
    private static function reweighted(array $points, array $l, array $fit): array
    {
        [$lx, $ly, $lz] = $l;
        $left = [];
        foreach ($points as [$nx, $ny, $nz, $brightness]) {
            $left[] = $brightness - $fit[1] - $fit[2] * max(0.0, $nx * $lx + $ny * $ly + $nz * $lz);
        }

        return self::biweights($left);
    }

    /**
     * @param  list<float>  $left
     * @return list<float>
     */
    private static function biweights(array $left): array
    {
        $sorted = array_map(abs(...), $left);
        sort($sorted);
        $reach = 4.685 * 1.4826 * max(1e-4, $sorted[intdiv(count($sorted), 2)]);

        return array_map(static function (float $value) use ($reach): float {
            $share = $value / $reach;

            return abs($share) >= 1 ? 0.02 : max(0.02, (1 - $share * $share) ** 2);
        }, $left);
    }

    /**
     * The direction in space: directions are tried on the dome's normals, closer and closer.
     *
     * @return array{Bearing, float} and the share of the variance that it explains
     */
    private function inSpace(float $azimuth): array
    {
        $weights = self::evenly($this->inside);
        $best = new Bearing($azimuth, 20);
        $share = 0.0;
        foreach ([10.0, 4.0, 2.0, 1.0] as $round => $step) {
            $least = INF;
            $centre = $best;
            foreach ($round === 0 ? range(-70, 90, 10) : self::around($centre->elevation, $step, 4) as $elevation) {
                foreach (self::around($round === 0 ? $azimuth : $centre->azimuth, $round === 0 ? 6.0 : $step, 3) as $turn) {
                    $candidate = new Bearing($turn, (float) $elevation);
                    $left = 0.0;
                    foreach ($this->inside as $k => $points) {
                        $left += self::fit($points, $weights[$k], $candidate->vector())[0];
                    }
                    if ($left < $least) {
                        $least = $left;
                        $best = $candidate;
                    }
                }
            }
            $l = $best->vector();
            foreach ($this->inside as $k => $points) {
                $weights[$k] = self::reweighted($points, $l, self::fit($points, $weights[$k], $l));
            }
            $share = $this->explained($weights, $l);
        }

        return [$best, $share];
    }

    /**
     * The share of the inside's variance that a direction explains, within materials.
     *
     * @param  list<list<float>>  $weights
     * @param  array{float, float, float}  $l
     */
    private function explained(array $weights, array $l): float
    {
        $left = $variance = 0.0;
        foreach ($this->inside as $k => $points) {
            $left += self::fit($points, $weights[$k], $l)[0];
            $n = $b = $bb = 0.0;
            foreach ($points as $at => [, , , $brightness]) {
                $n += $weights[$k][$at];
                $b += $weights[$k][$at] * $brightness;
                $bb += $weights[$k][$at] * $brightness ** 2;
            }
            $variance += $bb - $b * $b / $n;
        }

        return $variance > 1e-9 ? max(0.0, min(1.0, 1 - $left / $variance)) : 0.0;
    }

    /**
     * The 68 % half-width of azimuths from stretches drawn at random, with repetition: of the outline, or of the inside.
     *
     * @param  list<list<array{float, float, float, float, float}>>  $all
     */
    private static function spread(array $all, float $azimuth): float
    {
        [$cx, $cy] = [cos(deg2rad($azimuth)), sin(deg2rad($azimuth))];
        // each stretch as the sums that a straight fit on its lit part takes, so that drawing it is adding them
        $stretches = [];
        foreach (array_merge(...$all) as [$x, $y, $z, $brightness, $stretch]) {
            $sums = $stretches[(int) $stretch] ?? array_fill(0, 14, 0.0);
            if ($x * $cx + $y * $cy >= -0.1) {
                foreach ([1.0, $x, $y, $z, $x * $x, $x * $y, $x * $z, $y * $y, $y * $z, $z * $z, $brightness, $x * $brightness, $y * $brightness, $z * $brightness] as $k => $value) {
                    $sums[$k] += $value;
                }
            }
            $stretches[(int) $stretch] = $sums;
        }
        $stretches = array_values($stretches);
        $count = count($stretches);
        $away = [];
        $random = 12345;
        for ($k = 0; $k < self::RESAMPLES; $k++) {
            $sums = array_fill(0, 14, 0.0);
            for ($n = $count; $n > 0; $n--) {
                $random = ($random * 1103515245 + 12345) % 2147483648;
                foreach ($stretches[intdiv($random, 65536) % $count] as $at => $value) {
                    $sums[$at] += $value;
                }
            }
            $found = self::quickAzimuth($sums) ?? $azimuth + 180;
            $away[] = abs(fmod($found - $azimuth + 900, 360) - 180);
        }
        sort($away);

        return max(1.0, $away[(int) (0.68 * count($away))]);
    }

    /**
     * The azimuth of a resample: the gradient of a straight fit on its lit part; null when nothing tells it.
     *
     * @param  list<float>  $sums  as in {@see self::spread()}
     */
    private static function quickAzimuth(array $sums): ?float
    {
        [$n, $x, $y, $z, $xx, $xy, $xz, $yy, $yz, $zz, $b, $xb, $yb, $zb] = $sums;
        if ($n < 8) {
            return null;
        }
        [$xx, $xy, $xz] = [$xx - $x * $x / $n, $xy - $x * $y / $n, $xz - $x * $z / $n];
        [$yy, $yz, $zz] = [$yy - $y * $y / $n, $yz - $y * $z / $n, $zz - $z * $z / $n];
        [$xb, $yb, $zb] = [$xb - $x * $b / $n, $yb - $y * $b / $n, $zb - $z * $b / $n];
        if ($zz > 1e-9 * $n) {
            // what the third component explains is taken out first; along the outline it is the same everywhere
            [$xx, $xy, $yy] = [$xx - $xz * $xz / $zz, $xy - $xz * $yz / $zz, $yy - $yz * $yz / $zz];
            [$xb, $yb] = [$xb - $xz * $zb / $zz, $yb - $yz * $zb / $zz];
        }
        $determinant = $xx * $yy - $xy * $xy;

        return $determinant < 1e-9 ? null : rad2deg(atan2($xx * $yb - $xy * $xb, $yy * $xb - $xy * $yb));
    }

    /**
     * How sure, 1 for a body that one light explains: it falls with what the fit leaves unexplained inside, with the
     * spread, and with how far outline and inside are apart. The scale is our own, set so that it falls with the error on
     * bodies of known light.
     *
     * @param  float  $explained  share of the inside's variance
     * @param  float  $apart  degrees
     */
    private static function confidence(float $explained, float $spread, float $apart): float
    {
        return exp(-sqrt((40 * (1 - $explained)) ** 2 + $spread ** 2 + $apart ** 2) / 35);
    }

    /**
     * @param  list<float>  $signed
     * @return list<list<array{float, float, float, float, float}>>
     */
    private static function contour(LitBody $body, array $signed): array
    {
        [$columns, $rows] = [$body->columns, $body->rows];
        $smooth = Box::mean($signed, $columns, $rows, 1);
        $found = [];
        for ($row = 6; $row < $rows - 6; $row++) {
            for ($column = 6, $at = $row * $columns + 6; $column < $columns - 6; $column++, $at++) {
                if ($signed[$at] < self::BAND[0] || $signed[$at] > self::BAND[1]) {
                    continue;
                }
                $x = $smooth[$at - 2] - $smooth[$at + 2];
                $y = $smooth[$at + 2 * $columns] - $smooth[$at - 2 * $columns];
                $length = hypot($x, $y);
                // where the slope is much below 1 the outline folds: its normal is not known
                if ($length > 2.8) {
                    $found[] = [$x / $length, $y / $length, $column, $row, $body->brightness[$at], $body->materials[$at]];
                }
            }
        }
        // the band is about two pixels wide
        $size = max(4.0, count($found) / 2.2 / self::STRETCHES);
        $step = max(1, intdiv(count($found), self::MOST_POINTS));
        $points = [];
        for ($k = 0; $k < count($found); $k += $step) {
            [$x, $y, $column, $row, $brightness, $material] = $found[$k];
            $points[$material][] = [$x, $y, 1.0, $brightness, floor($row / $size) * 4096 + floor($column / $size)];
        }

        return self::byMaterial($points);
    }

    /**
     * Brightness inside, with the dome's normals; read on a small copy.
     *
     * @param  list<float>  $signed
     * @return list<list<array{float, float, float, float, float}>>
     */
    private static function inside(LitBody $body, array $signed): array
    {
        [$columns, $rows, $inside, $brightness, $materials] = self::shrunk($body, $signed);
        $heights = Dome::heights($inside, $columns, $rows);
        $found = [];
        $step = max(1, intdiv(count(array_keys($inside, true, true)), self::MOST_INSIDE));
        $seen = 0;
        foreach ($inside as $at => $isInside) {
            if (! $isInside || ! $inside[$at - 1] || ! $inside[$at + 1] || ! $inside[$at - $columns] || ! $inside[$at + $columns]) {
                continue;
            }
            if ($seen++ % $step !== 0) {
                continue;
            }
            // of the height's square, whose slope stays finite at the outline
            $h = $heights[$at];
            $x = ($heights[$at - 1] ** 2 - $heights[$at + 1] ** 2) / 2;
            $y = ($heights[$at + $columns] ** 2 - $heights[$at - $columns] ** 2) / 2;
            $length = sqrt($x * $x + $y * $y + 4 * $h * $h);
            $block = intdiv(intdiv($at, $columns), self::BLOCK) * 4096 + intdiv($at % $columns, self::BLOCK);
            $found[$materials[$at]][] = [$x / $length, $y / $length, 2 * $h / $length, $brightness[$at], (float) $block];
        }

        return $seen < self::FEWEST_POINTS ? [] : self::byMaterial($found);
    }

    /**
     * The body on a small copy with a free border of one pixel: where it is, how bright, of which material.
     *
     * @param  list<float>  $signed
     * @return array{int, int, list<bool>, list<float>, list<int>}
     */
    private static function shrunk(LitBody $body, array $signed): array
    {
        $unit = max(1, (int) ceil(max($body->columns, $body->rows) / self::DOME_SIDE));
        [$columns, $rows] = [intdiv($body->columns, $unit) + 2, intdiv($body->rows, $unit) + 2];
        $inside = $brightness = $materials = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $sum = 0.0;
                $count = 0;
                $isBorder = $row === 0 || $column === 0 || $row === $rows - 1 || $column === $columns - 1;
                $first = ($row - 1) * $unit * $body->columns + ($column - 1) * $unit;
                for ($y = 0; $y < $unit && ! $isBorder; $y++) {
                    for ($x = 0, $at = $first + $y * $body->columns; $x < $unit; $x++, $at++) {
                        if ($signed[$at] > 1.0) {
                            $sum += $body->brightness[$at];
                            $count++;
                        }
                    }
                }
                $inside[] = $count > 0 && $count * 2 >= $unit * $unit;
                $brightness[] = $count > 0 ? $sum / $count : 0.0;
                $materials[] = $isBorder ? 0 : $body->materials[$first + intdiv($unit, 2) * ($body->columns + 1)];
            }
        }

        return [$columns, $rows, $inside, $brightness, $materials];
    }

    /**
     * Brightness as a share of its material's mean, so that a white neck and a dark wing count alike; materials of which
     * too little is seen are left out.
     *
     * @param  array<int, list<array{float, float, float, float, float}>>  $points
     * @return list<list<array{float, float, float, float, float}>>
     */
    private static function byMaterial(array $points): array
    {
        $most = max(array_map(count(...), $points) ?: [0]);
        $all = [];
        foreach ($points as $own) {
            $mean = array_sum(array_column($own, 3)) / max(1, count($own));
            if (count($own) >= max(12, self::LEAST_SHARE * $most) && $mean > 0) {
                $all[] = array_map(static fn (array $point): array => [$point[0], $point[1], $point[2], $point[3] / $mean, $point[4]], $own);
            }
        }

        return $all;
    }

    /** @param  list<float>  $values */
    private static function contrast(array $values): float
    {
        sort($values);
        $low = $values[(int) (0.05 * count($values))];
        $high = $values[(int) (0.95 * (count($values) - 1))];

        return $high > 0 ? ($high - $low) / $high : 0.0;
    }
}
