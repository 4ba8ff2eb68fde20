<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/**
 * The sRGB transfer for kernels to inline; the exact law is {@see \Aumbrel\Core\Color\Srgb}.
 *
 * Polynomials rather than tables: turning a value into a table's index costs a kernel more than ten multiplications.
 * Their terms are taken in pairs (G. Estrin, *Organization of computer systems*, 1960): one after the other, each waits for the
 * one before. Fitted by `core/tests/reference/fit_transfer.py` for the least largest error, which stays below 0.02/255 (tested);
 * above the last piece the law itself is used.
 */
final class Transfer
{
    public static function decode(float $value): float
    {
        if ($value < 0.04045) {
            $linear = $value * 0.07739938080495357;
        } elseif ($value < 1.1) {
            $square = $value * $value;
            $linear = (0.0342239071 * $value + 0.000878501479) + $square * ((0.753187969 * $value + 0.501677612) + $square * ((0.27550154 * $value - 0.496552444) - 0.0688774654 * $square));
        } else {
            $linear = (($value + 0.055) * 0.9478672985781991) ** 2.4;
        }

        return $linear;
    }

    public static function encode(float $linear): float
    {
        if ($linear < 0.0031308) {
            $value = $linear * 12.92;
        } elseif ($linear < 0.015) {
            $square = $linear * $linear;
            $value = (22.2184049 * $linear - 0.0119734506) + $square * ((173878.178 * $linear - 2220.87619) + $square * (136536375.0 * $linear - 7580339.58));
        } elseif ($linear < 0.075) {
            $square = $linear * $linear;
            $value = (8.79097879 * $linear + 0.0283721106) + $square * ((2838.55008 * $linear - 178.775153) + $square * (91001.0969 * $linear - 25030.3533));
        } elseif ($linear < 0.3) {
            $square = $linear * $linear;
            $value = (3.68330293 * $linear + 0.100791487) + $square * ((62.9670533 * $linear - 17.0981113) + $square * (112.759805 * $linear - 130.519165));
        } elseif ($linear < 1.2) {
            $square = $linear * $linear;
            $value = (1.64072493 * $linear + 0.222588873) + $square * ((1.7530396 * $linear - 1.90408568) + $square * (0.196206183 * $linear - 0.908432473));
        } else {
            $value = 1.055 * $linear ** 0.4166666666666667 - 0.055;
        }

        return $value;
    }
}
