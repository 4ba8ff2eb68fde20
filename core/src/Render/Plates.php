<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Plate\PictureShelf;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Plate\PlatePlane;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use LogicException;

/** The plates of a scene as one window sees them, and the words in which kernels read them. */
final class Plates
{
    /** @var array<string, PlatePlane> by strip */
    private array $planes = [];

    public function __construct(private readonly Scene $scene, private readonly Window $window, private readonly PictureShelf $shelf)
    {
    }

    public function of(Strip $strip): PlatePlane
    {
        if (! $strip->kind instanceof Plate) {
            throw new LogicException("{$strip->id} is no plate");
        }

        return $this->planes[$strip->id] ??= new PlatePlane($this->shelf->picture($strip->kind->picture), $strip->kind->placement, $this->window);
    }

    public function named(string $id): PlatePlane
    {
        return $this->of($this->scene->find($id) ?? throw new LogicException("no strip {$id}"));
    }

    /** An expression of a plate's alpha at the current pixel. */
    public function alpha(KernelWriter $kernel, PlatePlane $plane): string
    {
        if ($plane->opaque) {
            return '1.0';
        }
        $pixels = $kernel->plane($plane->key(), $plane);

        return $plane->bits === 16
            ? sprintf('(%s[$i] >> 48 & 65535) * %.17e', $pixels, 1 / 65535)
            : sprintf('(%s[$i] >> 24 & 255) * %.17e', $pixels, 1 / 255);
    }

    /** @return array{string, string, string} expressions of a plate's encoded colour at the current pixel */
    public function colour(KernelWriter $kernel, PlatePlane $plane): array
    {
        $pixels = $kernel->plane($plane->key(), $plane);
        [$wide, $narrow, $mask] = $plane->bits === 16 ? [32, 16, 65535] : [16, 8, 255];
        $unit = sprintf('%.17e', 1 / $mask);

        return [
            "({$pixels}[\$i] >> {$wide} & {$mask}) * {$unit}",
            "({$pixels}[\$i] >> {$narrow} & {$mask}) * {$unit}",
            "({$pixels}[\$i] & {$mask}) * {$unit}",
        ];
    }
}
