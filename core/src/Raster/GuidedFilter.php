<?php

declare(strict_types=1);

namespace Aumbrel\Core\Raster;

/**
 * The guided filter with a colour guide: He, Sun, Tang, *Guided image filtering*, 2010 (section 3.5). The outcome is
 * locally a linear function of the guide, so that a coarse mask takes on the guide's hair.
 */
final class GuidedFilter
{
    /**
     * @param  list<float>  $plane  what is filtered
     * @param  array{list<float>, list<float>, list<float>}  $guide  red, green, blue 0..1
     * @param  float  $smoothness  epsilon: variances well below it are smoothed over
     * @return list<float>
     */
    public static function apply(array $plane, array $guide, int $columns, int $rows, int $radius, float $smoothness): array
    {
        $mean = static function (array $values) use ($columns, $rows, $radius): array {
            /** @var list<float> $values */
            return Box::mean($values, $columns, $rows, $radius);
        };
        [$red, $green, $blue] = $guide;
        $meanPlane = $mean($plane);
        $means = [$mean($red), $mean($green), $mean($blue)];
        $covariance = [];
        foreach ($guide as $k => $channel) {
            $covariance[] = self::minus($mean(self::times($channel, $plane)), $means[$k], $meanPlane);
        }
        $variance = [];
        foreach ([[0, 0], [0, 1], [0, 2], [1, 1], [1, 2], [2, 2]] as [$one, $other]) {
            $variance[] = self::minus($mean(self::times($guide[$one], $guide[$other])), $means[$one], $means[$other]);
        }
        $slopes = [[], [], []];
        $offset = [];
        foreach ($meanPlane as $at => $value) {
            $rr = $variance[0][$at] + $smoothness;
            $rg = $variance[1][$at];
            $rb = $variance[2][$at];
            $gg = $variance[3][$at] + $smoothness;
            $gb = $variance[4][$at];
            $bb = $variance[5][$at] + $smoothness;
            $i0 = $gg * $bb - $gb * $gb;
            $i1 = $gb * $rb - $rg * $bb;
            $i2 = $rg * $gb - $gg * $rb;
            $determinant = $rr * $i0 + $rg * $i1 + $rb * $i2;
            [$c0, $c1, $c2] = [$covariance[0][$at], $covariance[1][$at], $covariance[2][$at]];
            $slopes[0][] = $s0 = ($c0 * $i0 + $c1 * $i1 + $c2 * $i2) / $determinant;
            $slopes[1][] = $s1 = ($c0 * $i1 + $c1 * ($rr * $bb - $rb * $rb) + $c2 * ($rg * $rb - $rr * $gb)) / $determinant;
            $slopes[2][] = $s2 = ($c0 * $i2 + $c1 * ($rg * $rb - $rr * $gb) + $c2 * ($rr * $gg - $rg * $rg)) / $determinant;
            $offset[] = $value - $s0 * $means[0][$at] - $s1 * $means[1][$at] - $s2 * $means[2][$at];
        }
        $slopes = array_map($mean, $slopes);
        $offset = $mean($offset);
        $out = [];
        foreach ($offset as $at => $value) {
            $out[] = $value + $slopes[0][$at] * $red[$at] + $slopes[1][$at] * $green[$at] + $slopes[2][$at] * $blue[$at];
        }

        return $out;
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $other
     * @return list<float>
     */
    private static function times(array $one, array $other): array
    {
        $product = [];
        foreach ($one as $at => $value) {
            $product[] = $value * $other[$at];
        }

        return $product;
    }

    /**
     * @param  list<float>  $mean  of a product
     * @param  list<float>  $one  the mean of one factor
     * @param  list<float>  $other
     * @return list<float>
     */
    private static function minus(array $mean, array $one, array $other): array
    {
        $covariance = [];
        foreach ($mean as $at => $value) {
            $covariance[] = $value - $one[$at] * $other[$at];
        }

        return $covariance;
    }
}
