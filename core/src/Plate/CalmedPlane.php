<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\GuidedFilter;
use Aumbrel\Core\Raster\Margin;
use Aumbrel\Core\Seen\SeenPlate;
use Closure;

/** A plate's colours without what is finest in them, linear: smoothed along its edges, as its encoded luma shows them. Three channels of 21 bits in one number. */
final readonly class CalmedPlane implements Plane
{
    use KeyOfAll;

    /** The filter's radius, in pixels of the plate's picture, and the variance below which it smooths. */
    private const RADIUS = 2.0;

    private const EPSILON = 0.0004;

    private const MOST = 2097151;

    /**
     * @param  Closure(Window): ?SeenPlate  $seen  the plate in a window
     * @param  float  $scale  scene pixels to one of its picture
     */
    public function __construct(public string $name, private Closure $seen, private float $scale, private Window $window)
    {
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        $radius = (int) round(self::RADIUS * $this->scale * $this->window->scale);
        $margin = Margin::atLeast(2.0 * $radius + 1);
        $wide = $this->window->padded($margin);
        $plate = ($this->seen)($wide);
        if ($plate === null) {
            return array_fill(0, $this->window->columns * $this->window->rows, 0);
        }
        $pixels = new Pixels($planes->pixels($plate), $plate->bits());
        $channels = $pixels->channels();
        $guide = array_map(Luma::of(...), ...$channels);
        $packed = array_fill(0, $this->window->columns * $this->window->rows, 0);
        foreach ($channels as $at => $values) {
            $linear = array_map(Srgb::decode(...), $values);
            // where a pixel of the window is as large as the filter nothing finer is left
            $calm = $radius < 1 ? $linear : GuidedFilter::of($guide, $linear, $wide->columns, $wide->rows, $radius, self::EPSILON);
            $shift = 42 - 21 * $at;
            foreach (Margin::cut($calm, $wide->columns, $wide->rows, $margin) as $place => $value) {
                $packed[$place] |= (int) (self::MOST * max(0.0, min(1.0, $value)) + 0.5) << $shift;
            }
        }

        /** @var list<int> $packed changed only where it had values already */
        return $packed;
    }

    /** @return array{string, string, string} expressions of the colour at the current pixel, linear */
    public function colour(KernelWriter $kernel): array
    {
        $packed = $kernel->plane($this);
        $unit = sprintf('%.17e', 1 / self::MOST);
        $mask = self::MOST;

        return ["({$packed}[\$i] >> 42 & {$mask}) * {$unit}", "({$packed}[\$i] >> 21 & {$mask}) * {$unit}", "({$packed}[\$i] & {$mask}) * {$unit}"];
    }
}
