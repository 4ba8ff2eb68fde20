<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;

/** Pictures of normals, as renders bring them: 0.5 + 0.5 n, red to the right, blue toward the viewer. */
final class NormalPass
{
    /** It is looked at with so many pixels at most. */
    private const ENOUGH = 40_000;

    /** Of a normal shorter than this nothing can be told. */
    public const LEAST = 0.25;

    /** Whether none of its normals has a length that tells anything, looked at small. */
    public static function isVoid(PictureSource $picture): bool
    {
        $size = Halving::within($picture, self::ENOUGH);
        [$red, $green, $blue] = (new Pixels($size->pixels($picture), $picture->bits()))->channels();
        foreach ($red as $at => $x) {
            if ((2 * $x - 1) ** 2 + (2 * $green[$at] - 1) ** 2 + (2 * $blue[$at] - 1) ** 2 > self::LEAST ** 2) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether green grows upward in it: bodies bulge, so what lies above its middle mostly faces up. The slope of green over the
     * height, in every column by itself.
     */
    public static function growsUpward(PictureSource $picture): bool
    {
        $size = Halving::within($picture, self::ENOUGH);
        $pixels = new Pixels($size->pixels($picture), $picture->bits());
        [$red, $green, $blue] = $pixels->channels();
        $alpha = $pixels->alpha();
        $sum = 0.0;
        for ($x = 0; $x < $size->columns; $x++) {
            [$count, $ySum, $gSum, $product] = [0, 0.0, 0.0, 0.0];
            for ($y = 0, $at = $x; $y < $size->rows; $y++, $at += $size->columns) {
                $length = sqrt((2 * $red[$at] - 1) ** 2 + (2 * $green[$at] - 1) ** 2 + (2 * $blue[$at] - 1) ** 2);
                if ($alpha[$at] > 0.5 && $length > self::LEAST) {
                    $count++;
                    $ySum += $y;
                    $gSum += $green[$at];
                    $product += $y * $green[$at];
                }
            }
            $sum += $count < 3 ? 0.0 : $product - $ySum * $gSum / $count;
        }

        // rows grow downward: green that falls with them grows upward
        return $sum <= 0.0;
    }
}
