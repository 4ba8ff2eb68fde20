<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Texture\Lattice;

/** A softened field on a lattice, coarse where the softness allows; without level and colour, so that fading it costs nothing. */
final readonly class SoftShape implements Plane
{
    use KeyOfAll;

    /** Lattice points to a sigma. */
    private const POINTS = 5;

    /** The same of what shines: blurred shapes change no faster. */
    private const POINTS_OF_SHAPES = 4;

    public Lattice $lattice;

    private int $margin;

    /** Scene pixels between the points in which what shines is worked out. */
    private float $finest;

    public function __construct(private Field $field, private float $softness, Window $window)
    {
        $this->finest = $window->step();
        $coarse = max(1.0, $softness / ($field instanceof Emitter ? self::POINTS_OF_SHAPES : self::POINTS) / $this->finest);
        // what shines is averaged over ever larger pixels, which are halved
        $step = $this->finest * ($field instanceof Emitter ? 2 ** floor(log($coarse, 2)) : $coarse);
        $this->margin = (int) ceil(Gaussian::REACH * $softness / $step) + 1;
        $this->lattice = new Lattice($step, $window);
    }

    /**
     * @param  bool  $isAll  where it is nothing the row need not be worked on
     * @return string the variable that holds the value at the current place
     */
    public function write(KernelWriter $kernel, Window $window, bool $isAll = true): string
    {
        return $this->lattice->write($kernel, $window, $this, $isAll);
    }

    /** @return list<float> columns x rows of the lattice */
    public function fill(Planes $planes): array
    {
        $padded = $this->lattice->points->padded($this->margin);
        $part = Part::of($padded, $this->field->extent()?->bounds()?->grown(Softened::GONE * $this->softness + $this->lattice->step));
        if ($part === null) {
            return array_fill(0, $this->lattice->points->columns * $this->lattice->points->rows, 0.0);
        }

        return $part->spread($this->blurred($planes, $part->window), $this->margin);
    }

    /** @return list<float> */
    private function blurred(Planes $planes, Window $padded): array
    {
        // handed on as it comes, held by nobody else: the blur works in the plane that it is given
        return Gaussian::blur($this->plain($planes, $padded), $padded->columns, $padded->rows, $this->sigma());
    }

    /** @return list<float> not kept: what shines is made of blocks, which are */
    private function plain(Planes $planes, Window $padded): array
    {
        return $this->field instanceof Emitter ? (new EmitterLattice($this->field, $padded, $this->finest))->fill($planes)
            : $planes->sample(fn (KernelWriter $kernel): string => $this->field->write($kernel, $padded), $padded);
    }

    /**
     * Sigma in points. What averaging over larger pixels and reading between them soften is taken off: a twelfth and a sixth
     * of the step's square.
     */
    private function sigma(): float
    {
        $step = $this->lattice->step;
        if (! $this->field instanceof Emitter || $step <= $this->finest) {
            return $this->softness / $step;
        }

        return sqrt(max(0.0, ($this->softness ** 2 + $this->finest ** 2 / 12) / $step ** 2 - 1 / 12 - 1 / 6));
    }
}
