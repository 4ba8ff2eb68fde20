<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Raster\Surrounding;
use Aumbrel\Core\Scene\Scene;

/** Where a plate is looked at together with what lies around it, at full size. */
final class Beside
{
    /** Longest sides of what is looked at, scene pixels: for a closer look, and for many plates one after the other. */
    public const LARGE = 400.0;

    public const SMALL = 144.0;

    /**
     * One window about all of it when it is small enough; otherwise one about the middle of each side. All of one size, whole
     * pixels, inside the scene.
     *
     * @param  Bounds  $box  of what is there of the plate
     * @return list<Window>
     */
    public static function windows(Bounds $box, Scene $scene, float $side): array
    {
        [$width, $height] = [$box->right - $box->left, $box->bottom - $box->top];
        $room = 1 + 2 * Surrounding::SHARE;
        $middle = $box->middle();
        if ($room * max($width, $height) <= 1.6 * $side) {
            return [self::about($middle, $room * $width + 32, $room * $height + 32, $scene)];
        }
        $sides = [new Point($box->left, $middle->y), new Point($box->right, $middle->y), new Point($middle->x, $box->top), new Point($middle->x, $box->bottom)];
        $windows = [];
        foreach ($sides as $at) {
            $window = self::about($at, $side, $side, $scene);
            $windows[$window->key()] = $window;
        }

        return array_values($windows);
    }

    private static function about(Point $middle, float $width, float $height, Scene $scene): Window
    {
        [$width, $height] = [floor(max(1.0, min($width, $scene->width))), floor(max(1.0, min($height, $scene->height)))];

        return new Window(max(0.0, min($scene->width - $width, floor($middle->x - $width / 2))), max(0.0, min($scene->height - $height, floor($middle->y - $height / 2))), $width, $height);
    }
}
