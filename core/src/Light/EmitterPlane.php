<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;

/**
 * What shines, in the pixels of a window. Only where there can be anything it is worked out; where the window lies on the scene's
 * own pixels of that size it is taken from the blocks that the shells of a glow are made of.
 */
final readonly class EmitterPlane implements Plane
{
    use KeyOfAll;

    public function __construct(private Emitter $emitter, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        if (! $this->emitter->isExact() && $this->liesOnBlocks()) {
            return (new EmitterLattice($this->emitter, $this->window, $this->window->step()))->fill($planes);
        }

        return $this->worked($planes) ?? array_fill(0, $this->window->columns * $this->window->rows, 0.0);
    }

    /** @return list<float>|null worked out of the emitter itself; null where it lies outside the window */
    public function worked(Planes $planes): ?array
    {
        $part = Part::of($this->window, $this->emitter->extent());

        return $part?->spread($planes->sample(fn (KernelWriter $kernel): string => $this->emitter->write($kernel, $part->window), $part->window));
    }

    private function liesOnBlocks(): bool
    {
        $step = $this->window->step();

        return self::isWhole($this->window->x / $step) && self::isWhole($this->window->y / $step);
    }

    private static function isWhole(float $number): bool
    {
        return abs($number - round($number)) < 1e-6;
    }
}
