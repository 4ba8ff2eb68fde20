<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Light\Disc;

/** A disc that shines and counts how often it was worked out; in larger pixels it has to be averaged. */
final class CountedDisc implements Emitter
{
    public int $sampled = 0;

    private Disc $disc;

    public function __construct(Point $centre, float $radius)
    {
        $this->disc = new Disc($centre, $radius);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $this->sampled++;

        return $this->disc->write($kernel, $window);
    }

    public function extent(): Bounds
    {
        return $this->disc->extent();
    }

    public function largest(): float
    {
        return 1.0;
    }

    public function identity(): string
    {
        return 'counted '.$this->disc->identity();
    }

    public function readsBelow(): bool
    {
        return false;
    }

    public function isExact(): bool
    {
        return false;
    }
}
