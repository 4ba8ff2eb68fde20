<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;

/** A pattern in the pixels of a window: the drawing's mean over what each pixel covers of the unit square. */
final readonly class PatternPlane implements Plane
{
    use KeyOfAll;

    public function __construct(private PatternShape $pattern, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $this->pattern->toUnit->h;
        $half = $this->window->step() / 2;
        $drawing = $this->pattern->drawing->prepared();
        $values = [];
        [$columns, $left, $scale] = [$this->window->columns, $this->window->x, $this->window->scale];
        for ($row = 0; $row < $this->window->rows; $row++) {
            $y = $this->window->yOf($row);
            for ($column = 0; $column < $columns; $column++) {
                // written out as far as it goes: this runs for every pixel
                $x = $left + ($column + 0.5) / $scale;
                // a negative w is behind the plane's own horizon
                $w = $g * $x + $h * $y + $i;
                if ($w <= 1e-9) {
                    $values[] = 0.0;

                    continue;
                }
                $u = ($a * $x + $b * $y + $c) / $w;
                $v = ($d * $x + $e * $y + $f) / $w;
                $ux = $a - $u * $g;
                $uy = $b - $u * $h;
                $vx = $d - $v * $g;
                $vy = $e - $v * $h;
                $du = $half * (($ux < 0.0 ? -$ux : $ux) + ($uy < 0.0 ? -$uy : $uy)) / $w;
                $dv = $half * (($vx < 0.0 ? -$vx : $vx) + ($vy < 0.0 ? -$vy : $vy)) / $w;
                $values[] = $u + $du <= 0 || $u - $du >= 1 || $v + $dv <= 0 || $v - $dv >= 1 ? 0.0 : $drawing->mean($u, $v, $du, $dv);
            }
        }

        return $values;
    }
}
