<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Path;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Bounded;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\PlateMask;
use Aumbrel\Core\Kind\Traced;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Polygon;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PathValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A closed line of straight and curved sides; inside is 1. */
final readonly class OutlineMask implements Bounded, PlateMask, Traced
{
    /** Curves are drawn as straight pieces that lie nowhere further off than this share of a pixel. */
    private const TOLERANCE = 0.02;

    public function __construct(public Path $path, public float $feather = 0.0, public float $grow = 0.0)
    {
    }

    public static function key(): string
    {
        return 'outline';
    }

    public static function label(): string
    {
        return 'Outline';
    }

    public static function grounds(): array
    {
        return [Ground::Scene, Ground::Plate, Ground::Emitter];
    }

    public static function parameters(): array
    {
        return [
            PathValue::named('path', 'Outline', 'falloff'),
            NumberValue::named('feather', 'Softness', 'falloff', Unit::Pixels, 0, 500, 0, 0.5),
            NumberValue::named('grow', 'Grow or shrink', 'falloff', Unit::Pixels, -500, 500, 0, 0.5),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('path', Path::class), $values->number('feather'), $values->number('grow'));
    }

    public static function placed(Point $centre, float $span): array
    {
        $half = $span / 5;

        return ['path' => array_map(static fn (array $way): array => ['at' => [$centre->x + $way[0] * $half, $centre->y + $way[1] * $half]], [[-1, -1], [1, -1], [1, 1], [-1, 1]])];
    }

    public function problem(): ?string
    {
        return $this->path->isClosed() ? null : 'This outline encloses nothing yet: it needs three points, or two with a curve.';
    }

    public function path(): Path
    {
        return $this->path;
    }

    public function bounds(): ?Bounds
    {
        $margin = Gaussian::REACH * $this->feather + max(0.0, $this->grow) + 1;

        return Bounds::round($this->path->flattened(1.0))?->grown($margin);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return "{$kernel->plane($this->plane(Frame::scene($window)))}[\$i]";
    }

    public function onPlate(Frame $frame, PictureSource $picture): Plane
    {
        return $this->plane($frame);
    }

    private function plane(Frame $frame): SoftPlane
    {
        return new SoftPlane('outline '.hash('xxh128', serialize($this->path->toArray())), $this->coverage(...), $this->grow, $this->feather, $frame);
    }

    /** @return list<float> */
    private function coverage(Planes $planes, Frame $frame): array
    {
        $pieces = $this->path->flattened(self::TOLERANCE / max(1e-6, $frame->pixelsPerUnit()));

        return Polygon::coverage(array_map(static fn (array $point): array => $frame->toPixels->at(...$point), $pieces), $frame->window->columns, $frame->window->rows);
    }
}
