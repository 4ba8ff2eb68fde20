<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Blocks;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Rectangle;

/**
 * A plate's outline as a window sees it: three numbers for each pixel, how close it is to the outline, exp(-(d/width)²)
 * with d the distance inside it in scene pixels (0 outside it), and the outward normal, x to the right and y up.
 *
 * It is read off blocks that belong to the plate, so that moving the plate works out nothing anew.
 */
final readonly class OutlineSight implements Plane
{
    /** So many widths inside nothing is left of the closeness. */
    private const REACH = 3.8;

    /** A width of more pixels than this is read off a smaller halving. */
    private const WIDEST = 24.0;

    /** Scene pixels that the normal is blurred by at least. */
    private const LEAST_BLUR = 2.0;

    private int $level;

    /** Pixels of the halving to a scene pixel. */
    private float $pitch;

    private Halving $whole;

    /**
     * @param  Extent  $plate  where the plate is in the window
     * @param  float  $width  scene pixels
     */
    public function __construct(private PlateOutline $outline, private Extent $plate, private Window $window, private float $width)
    {
        $middle = new Point($outline->picture->width() / 2, $outline->picture->height() / 2);
        $scale = $outline->placement->map()->scaleAt($middle->x, $middle->y);
        $finest = log(max(1.0, $window->step() / $scale), 2);
        $widest = log(max(1.0, $width / $scale / self::WIDEST), 2);
        $this->level = (int) min(PictureSource::LEVELS, max(floor($finest + 1e-9), ceil($widest - 1e-9)));
        $this->pitch = 1 / ($scale * 2 ** $this->level);
        $this->whole = new Halving($outline->picture->width(), $outline->picture->height(), $this->level);
    }

    /** By hand: where the plate can be at all is no part of what is read there. */
    public function key(): string
    {
        return "{$this->outline->key()} {$this->outline->placement->key()} {$this->width} {$this->window->key()}";
    }

    /** @return list<float> three for each pixel of the window */
    public function fill(Planes $planes): array
    {
        $columns = $this->window->columns;
        $out = array_fill(0, 3 * $columns * $this->window->rows, 0.0);
        $place = $this->needed();
        $around = $place === null ? [] : $this->around($planes, $place);
        if ($place === null || $around === []) {
            return $out;
        }
        $map = $this->outline->placement->map();
        $toPicture = $map->inverse();
        $unit = 1 / 2 ** $this->level;
        $isFlat = $map->isAffine();
        [$a, $b, $d, $e] = $map->jacobian(0.0, 0.0);
        // the normal goes by the inverse transpose of the way to the scene; y is turned up
        $determinant = $a * $e - $b * $d;
        $fall = sqrt(abs($determinant)) / ($unit * $this->width);
        $pitch = 3 * $place->columns;
        [$mostU, $mostV] = [$place->x + $place->columns - 1.0, $place->y + $place->rows - 1.0];
        for ($row = 0; $row < $this->window->rows; $row++) {
            $y = $this->window->yOf($row);
            [$first, $end] = $this->columns($y);
            for ($column = $first, $to = 3 * ($row * $columns + $first); $column < $end; $column++, $to += 3) {
                [$px, $py] = $toPicture->at($this->window->xOf($column), $y);
                // at the picture's border its last pixels go on
                $u = min($mostU, max((float) $place->x, $px * $unit - 0.5)) - $place->x;
                $v = min($mostV, max((float) $place->y, $py * $unit - 0.5)) - $place->y;
                $u0 = (int) $u;
                $v0 = (int) $v;
                $fu = $u - $u0;
                $fv = $v - $v0;
                $at = $v0 * $pitch + 3 * $u0;
                $right = $fu > 1e-6 ? $at + 3 : $at;
                $below = $fv > 1e-6 ? $at + $pitch : $at;
                $beyond = $below + $right - $at;
                if ($around[$at] >= OutlineBlock::FAR || $around[$right] >= OutlineBlock::FAR || $around[$below] >= OutlineBlock::FAR || $around[$beyond] >= OutlineBlock::FAR) {
                    continue;
                }
                [$w00, $w10, $w01, $w11] = [(1 - $fu) * (1 - $fv), $fu * (1 - $fv), (1 - $fu) * $fv, $fu * $fv];
                $distance = $w00 * $around[$at] + $w10 * $around[$right] + $w01 * $around[$below] + $w11 * $around[$beyond];
                $nx = $w00 * $around[$at + 1] + $w10 * $around[$right + 1] + $w01 * $around[$below + 1] + $w11 * $around[$beyond + 1];
                $ny = $w00 * $around[$at + 2] + $w10 * $around[$right + 2] + $w01 * $around[$below + 2] + $w11 * $around[$beyond + 2];
                if (! $isFlat) {
                    [$a, $b, $d, $e] = $map->jacobian($px, $py);
                    $determinant = $a * $e - $b * $d;
                    $fall = sqrt(abs($determinant)) / ($unit * $this->width);
                }
                $sx = ($e * $nx - $d * $ny) / $determinant;
                $sy = ($b * $nx - $a * $ny) / $determinant;
                $length = sqrt($sx * $sx + $sy * $sy);
                if ($length > 1e-12) {
                    $share = $distance > 0.0 ? $distance * $fall : 0.0;
                    $out[$to] = exp(-$share * $share);
                    $out[$to + 1] = $sx / $length;
                    $out[$to + 2] = $sy / $length;
                }
            }
        }

        /** @var list<float> $out changed only where it had values already */
        return $out;
    }

    /** @return array{int, int} the columns of a row where the plate can be, from and before */
    private function columns(float $y): array
    {
        $span = $this->plate->span($y);
        if ($span === null) {
            return [0, 0];
        }
        $left = $this->window->xOf(0);
        $step = $this->window->step();

        return [(int) max(0.0, floor(($span[0] - $left) / $step)), (int) min((float) $this->window->columns, ceil(($span[1] - $left) / $step) + 1)];
    }

    /** The part of the halving that the window reads; null when it sees nothing of the plate. */
    private function needed(): ?Rectangle
    {
        $toPicture = $this->outline->placement->map()->inverse();
        $unit = 1 / 2 ** $this->level;
        [$us, $vs] = [[], []];
        for ($row = 0; $row < $this->window->rows; $row++) {
            [$first, $end] = $this->columns($this->window->yOf($row));
            foreach ($first < $end ? [$first, $end - 1] : [] as $column) {
                [$px, $py] = $toPicture->at($this->window->xOf($column), $this->window->yOf($row));
                $us[] = min((float) $this->whole->columns, max(-1.0, $px * $unit - 0.5));
                $vs[] = min((float) $this->whole->rows, max(-1.0, $py * $unit - 0.5));
            }
        }
        if ($us === [] || $vs === []) {
            return null;
        }
        $x = max(0, min($this->whole->columns - 1, (int) floor(min($us))));
        $y = max(0, min($this->whole->rows - 1, (int) floor(min($vs))));
        $right = max($x, min($this->whole->columns - 1, (int) ceil(max($us)) + 1));
        $bottom = max($y, min($this->whole->rows - 1, (int) ceil(max($vs)) + 1));

        return new Rectangle($this->level, $x, $y, $right - $x + 1, $bottom - $y + 1);
    }

    /** @return list<float> the outline in a part of the halving; nothing when it does not come there */
    private function around(Planes $planes, Rectangle $place): array
    {
        $isThere = false;
        $around = Blocks::read($place, 3, function (int $column, int $row) use ($planes, &$isThere): array {
            $block = new OutlineBlock($this->outline, $this->level, $column, $row, max(self::LEAST_BLUR, $this->width) * $this->pitch, self::REACH * $this->width * $this->pitch);
            $values = $planes->numbers($block);
            $isThere = $isThere || $values !== [];

            return [$block->place, $values];
        }, OutlineBlock::FAR);

        return $isThere ? $around : [];
    }
}
