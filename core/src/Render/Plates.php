<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\CutPlane;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Plate\PictureShelf;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Plate\PlatePlane;
use Aumbrel\Core\Plate\SeenPlate;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use LogicException;

/** The plates of a scene as one window sees them, and the words in which kernels read them. */
final class Plates
{
    /** @var array<string, SeenPlate> by strip */
    private array $planes = [];

    public function __construct(private readonly Scene $scene, private readonly Window $window, private readonly PictureShelf $shelf)
    {
    }

    public function of(Strip $strip): SeenPlate
    {
        if (! $strip->kind instanceof Plate) {
            throw new LogicException("{$strip->id} is no plate");
        }

        return $this->planes[$strip->id] ??= self::seen($strip, $strip->kind, $this->window, $this->shelf);
    }

    /** A plate in a window, cut out as its masks and its edge say. */
    public static function seen(Strip $strip, Plate $plate, Window $window, PictureShelf $shelf): SeenPlate
    {
        $picture = $shelf->picture($plate->picture);
        $placement = $plate->placement($picture->width(), $picture->height());
        $masks = $strip->cutOut();

        return $masks === [] && ($plate->edge->isNone() || $picture->opaque())
            ? new PlatePlane($picture, $placement, $window)
            : new CutPlane($picture, $placement, $window, $masks, $plate->edge);
    }

    public function named(string $id): SeenPlate
    {
        return $this->of($this->scene->find($id) ?? throw new LogicException("no strip {$id}"));
    }

    /** An expression of a plate's alpha at the current pixel. */
    public function alpha(KernelWriter $kernel, SeenPlate $plane): string
    {
        if ($plane->opaque()) {
            return '1.0';
        }
        $pixels = $kernel->plane($plane);

        return $plane->bits() === 16
            ? sprintf('(%s[$i] >> 48 & 65535) * %.17e', $pixels, 1 / 65535)
            : sprintf('(%s[$i] >> 24 & 255) * %.17e', $pixels, 1 / 255);
    }

    /** @return array{string, string, string} expressions of a plate's encoded colour at the current pixel */
    public function colour(KernelWriter $kernel, SeenPlate $plane): array
    {
        $pixels = $kernel->plane($plane);
        [$wide, $narrow, $mask] = $plane->bits() === 16 ? [32, 16, 65535] : [16, 8, 255];
        $unit = sprintf('%.17e', 1 / $mask);

        return [
            "({$pixels}[\$i] >> {$wide} & {$mask}) * {$unit}",
            "({$pixels}[\$i] >> {$narrow} & {$mask}) * {$unit}",
            "({$pixels}[\$i] & {$mask}) * {$unit}",
        ];
    }
}
