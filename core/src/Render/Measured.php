<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\OutlineBounds;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Strip;

/** What is measured on the pictures themselves. */
final readonly class Measured implements Measures
{
    public function __construct(private Planes $planes, private PictureShelf $shelf)
    {
    }

    public function size(string $picture): ?array
    {
        try {
            $source = $this->shelf->picture($picture);
        } catch (SceneError) {
            return null;
        }

        return [$source->width(), $source->height()];
    }

    public function box(Strip $plate): ?Bounds
    {
        return $plate->kind instanceof Pictured ? OutlineBounds::of($this->planes, $this->shelf->picture($plate->kind->picture()), $plate->cutOut()) : null;
    }

    public function isCutOut(Strip $plate): bool
    {
        return $plate->kind instanceof Pictured && ($plate->cutOut() !== [] || ! $this->shelf->picture($plate->kind->picture())->opaque());
    }
}
