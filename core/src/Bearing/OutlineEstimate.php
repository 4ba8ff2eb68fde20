<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

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

    /** What the third components of light and normal add to the shade, relative to the light's part in the picture. */
    private const LIFTS = [-0.6, -0.3, 0.0, 0.4, 1.0, 2.0];

    private const RESAMPLES = 200;

    public const FEWEST_POINTS = 40;

    /** How much of what outline and inside are apart counts as spread. */
    private const APART = 0.4;

    /** Degrees that a body turns the estimate of which one light explains nothing; set on bodies of known light. */
    private const MISFIT = 15.0;

    public static function of(LitBody $body): Estimate
    {
        $signed = Distance::signed($body->alpha, $body->columns, $body->rows);
        if (! is_finite($signed[0])) {
            return Estimate::refused('There is no outline to go by: the picture is not cut out. Cut the subject out first, or draw a shadow line.');
        }
        $contour = BodyPoints::contour($body, $signed);
        $brightness = array_column(array_merge(...$contour), 3);
        if (count($brightness) < self::FEWEST_POINTS) {
            return Estimate::refused('The cut-out is too small to read its light: too few pixels lie along its outline.');
        }
        $contrast = BodyPoints::contrast($brightness);
        $inside = BodyPoints::inside($body, $signed);
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
                        $left += ShadeFit::fit($points, $weights[$k], [$x, $y, $lift])[0];
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
                $weights[$k] = ShadeFit::reweighted($points, $l, ShadeFit::fit($points, $weights[$k], $l));
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
                        $left += ShadeFit::fit($points, $weights[$k], $candidate->vector())[0];
                    }
                    if ($left < $least) {
                        $least = $left;
                        $best = $candidate;
                    }
                }
            }
            $l = $best->vector();
            foreach ($this->inside as $k => $points) {
                $weights[$k] = ShadeFit::reweighted($points, $l, ShadeFit::fit($points, $weights[$k], $l));
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
            $left += ShadeFit::fit($points, $weights[$k], $l)[0];
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
}
