<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Margin;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;
use Closure;

/** Where a plate is, its outline grown or shrunk by an exact distance and then feathered. */
final readonly class KeptOffPlane implements Plane
{
    private int $margin;

    /**
     * @param  string  $name  the plate as it is and stands
     * @param  Closure(Window): ?SeenPlate  $seen
     * @param  float  $grow  px
     * @param  float  $feather  sigma, px
     */
    public function __construct(private string $name, private Closure $seen, private float $grow, private float $feather, private Window $window)
    {
        $this->margin = (int) ceil((abs($grow) + Gaussian::REACH * $feather) * $window->scale) + 2;
    }

    public function key(): string
    {
        return "off {$this->name} grown {$this->grow} feathered {$this->feather} {$this->window->key()}";
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $padded = $this->window->padded($this->margin);
        $seen = ($this->seen)($padded);
        if ($seen === null) {
            return array_fill(0, $this->window->columns * $this->window->rows, 0.0);
        }
        $values = $planes->sample(static fn (KernelWriter $kernel): string => PlateWords::alpha($kernel, $seen), $padded);
        if ($this->grow !== 0.0) {
            $values = Edge::grown($values, $padded->columns, $padded->rows, $this->grow * $this->window->scale);
        }

        return Margin::cut(Gaussian::blur($values, $padded->columns, $padded->rows, $this->feather * $this->window->scale), $padded->columns, $padded->rows, $this->margin);
    }
}
