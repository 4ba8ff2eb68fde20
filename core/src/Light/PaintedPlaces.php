<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** Where paint takes: everywhere that its strokes go, or only in some of the tones below. */
final readonly class PaintedPlaces implements Field
{
    use IdentityOfAll;

    public function __construct(private Tones $tones)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $part = $this->tones->formula();
        if ($part === null) {
            return '1.0';
        }
        [$tone, $places] = [$kernel->variable('tone'), $kernel->variable('places')];
        $kernel->inline([Luma::class, 'of'], [$kernel->stored('r'), $kernel->stored('g'), $kernel->stored('b')], $tone);
        $kernel->inline($part, [$tone], $places);

        return $places;
    }

    public function extent(): ?Extent
    {
        return null;
    }

    public function largest(): float
    {
        return 1.0;
    }

    public function readsBelow(): bool
    {
        return $this->tones !== Tones::All;
    }
}
