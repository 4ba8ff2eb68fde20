<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;

/** A drawing of a unit square, fitted to four corners in perspective. */
final readonly class PatternShape implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /** From the scene to the unit square. */
    public Homography $toUnit;

    /** @param  array{Point, Point, Point, Point}  $corners  upper left, upper right, lower right, lower left */
    public function __construct(public UnitDrawing $drawing, private array $corners)
    {
        $this->toUnit = Homography::between($corners, [new Point(0, 0), new Point(1, 0), new Point(1, 1), new Point(0, 1)]);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return "{$kernel->plane(new PatternPlane($this, $window))}[\$i]";
    }

    public function extent(): ?Bounds
    {
        return Bounds::round(array_map(static fn (Point $corner): array => $corner->toArray(), $this->corners))?->grown(1.0);
    }

    /** A drawing takes its mean over each pixel. */
    public function isExact(): bool
    {
        return true;
    }
}
