<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Seen\PlatePlane;
use Aumbrel\Core\Seen\PlateWords;

/** A picture as a slide: how much light passes is its luma times its alpha; outside it there is none. */
final readonly class SlideShape implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    public function __construct(private PictureSource $picture, private Placement $placement)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $seen = new PlatePlane($this->picture, $this->placement, $window);
        $luma = $kernel->variable('luma');
        $kernel->inline([Luma::class, 'of'], array_map(static fn (string $channel): string => "({$channel})", PlateWords::colour($kernel, $seen)), $luma);
        $kernel->line("{$luma} *= ".PlateWords::alpha($kernel, $seen).';');

        return $luma;
    }

    public function extent(): ?Bounds
    {
        return Bounds::round($this->placement->corners($this->picture->width(), $this->picture->height()))?->grown(1.0);
    }

    public function isExact(): bool
    {
        return true;
    }
}
