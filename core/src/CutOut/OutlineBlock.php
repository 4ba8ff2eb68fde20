<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Blocks;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Picture\Rectangle;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Raster\Gaussian;

/**
 * Along a plate's outline, in a square block of its picture or of one of its halvings: the distance to the outline, finer
 * than a pixel and positive inside, and the outward normal of the outline blurred by a Gaussian (x to the right, y down).
 *
 * Worked out once for the plate, wherever it stands, and kept for all processes. Beyond the picture's border the outline
 * goes on as at it.
 */
final readonly class OutlineBlock implements Plane
{
    /** The distance where there is no outline within reach. */
    public const FAR = 1e9;

    /** Pixels outside the outline that are worked out too, so that it can be read between pixels. */
    private const OUTSIDE = 2.0;

    /** Raised when outlines are worked out in another way, so that what was found before is not taken for it. */
    private const WAY = 1;

    public Rectangle $place;

    private Halving $whole;

    /**
     * @param  float  $sigma  of the blur, pixels of the halving
     * @param  float  $reach  how far inside it is worked out, pixels of the halving
     */
    public function __construct(private PlateOutline $outline, private int $level, int $column, int $row, private float $sigma, private float $reach)
    {
        $this->whole = new Halving($outline->picture->width(), $outline->picture->height(), $level);
        $this->place = Blocks::place($this->whole, $column, $row);
    }

    /** By hand: it also names a file that is kept. */
    public function key(): string
    {
        return "{$this->way()} block {$this->level} {$this->place->x} {$this->place->y}";
    }

    private function way(): string
    {
        return 'way '.self::WAY." {$this->sigma} {$this->reach} of {$this->outline->key()}";
    }

    /** @return list<float> three for each pixel: distance in pixels of the halving, normal x and y; nothing where no outline is within reach of the block */
    public function fill(Planes $planes): array
    {
        $bytes = $planes->found($this->way(), $this->key(), fn (): string => $this->worked($planes));
        if (strlen($bytes) % 16 !== 1) {
            // what was kept is damaged
            $bytes = $this->worked($planes);
        }
        $count = intdiv(strlen($bytes), 16);
        if ($count === 0) {
            return [];
        }
        $values = array_fill(0, 3 * $this->place->columns * $this->place->rows, self::FAR);
        /** @var array<int, int> $places */
        $places = unpack("V{$count}", $bytes) ?: [];
        $found = array_values(unpack('g'.(3 * $count), $bytes, 4 * $count) ?: []);
        $from = 0;
        foreach ($places as $at) {
            $values[3 * $at] = $found[$from];
            $values[3 * $at + 1] = $found[$from + 1];
            $values[3 * $at + 2] = $found[$from + 2];
            $from += 3;
        }

        /** @var list<float> $values changed only where it had values already */
        return $values;
    }

    /** @return string the places of the pixels along the outline, then distance and normal of each; one byte more, so that there is always something */
    private function worked(Planes $planes): string
    {
        $margin = (int) ceil(max(Gaussian::REACH * $this->sigma, $this->reach)) + 2;
        $left = max(0, $this->place->x - $margin);
        $top = max(0, $this->place->y - $margin);
        $columns = min($this->whole->columns, $this->place->x + $this->place->columns + $margin) - $left;
        $rows = min($this->whole->rows, $this->place->y + $this->place->rows + $margin) - $top;
        $shape = $this->shape($planes, new Rectangle($this->level, $left, $top, $columns, $rows));
        $distances = Distance::signed($shape, $columns, $rows, $this->reach + self::OUTSIDE, false);
        $blurred = null;
        $places = $found = [];
        for ($row = 0; $row < $this->place->rows; $row++) {
            for ($column = 0, $at = ($row + $this->place->y - $top) * $columns + $this->place->x - $left; $column < $this->place->columns; $column++, $at++) {
                if ($distances[$at] > -self::OUTSIDE && $distances[$at] < $this->reach) {
                    $blurred ??= Gaussian::blur($shape, $columns, $rows, $this->sigma);
                    [$x, $y] = [$this->place->x + $column, $this->place->y + $row];
                    $places[] = $row * $this->place->columns + $column;
                    array_push($found, $distances[$at], ...self::normal($blurred, $at, $columns, [$x > $left, $x + 1 < $left + $columns, $y > $top, $y + 1 < $top + $rows]));
                }
            }
        }

        return pack('V*', ...$places).pack('g*', ...$found).' ';
    }

    /**
     * Away from what is inside.
     *
     * @param  list<float>  $plane
     * @param  array{bool, bool, bool, bool}  $has  a neighbour to the left, to the right, above, below
     * @return array{float, float}
     */
    private static function normal(array $plane, int $at, int $columns, array $has): array
    {
        $x = $plane[$at - (int) $has[0]] - $plane[$at + (int) $has[1]];
        $y = $plane[$at - ($has[2] ? $columns : 0)] - $plane[$at + ($has[3] ? $columns : 0)];
        $length = sqrt($x * $x + $y * $y);

        return $length > 1e-12 ? [$x / $length, $y / $length] : [0.0, 0.0];
    }

    /** @return list<float> what the cut-out leaves of each pixel */
    private function shape(Planes $planes, Rectangle $place): array
    {
        if ($this->outline->edge->cleans()) {
            $clean = new CleanPicture($this->outline->picture, $this->outline->masks, $this->outline->edge, $planes);

            return (new Pixels($place->pixels($clean), $clean->bits()))->alpha();
        }
        $own = $this->outline->picture->opaque() ? null : (new Pixels($place->pixels($this->outline->picture), $this->outline->picture->bits()))->alpha();
        $unit = 2 ** $this->level;
        $window = new Window($place->x * $unit, $place->y * $unit, $place->columns * $unit, $place->rows * $unit, 1 / $unit);

        return $this->outline->masks->shape($planes, Frame::plate($window, Placement::asItIs()), $this->outline->picture, $own, $this->outline->edge->fillInside);
    }
}
