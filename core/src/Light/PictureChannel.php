<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

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

/** One channel of a placed picture, encoded, times its alpha. */
final readonly class PictureChannel implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  int  $channel  0 red, 1 green, 2 blue */
    public function __construct(private PictureSource $picture, private Placement $placement, private int $channel)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $seen = new PlatePlane($this->picture, $this->placement, $window);
        $value = $kernel->variable('value');
        $kernel->line("{$value} = (".PlateWords::colour($kernel, $seen)[$this->channel].') * '.PlateWords::alpha($kernel, $seen).';');

        return $value;
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
