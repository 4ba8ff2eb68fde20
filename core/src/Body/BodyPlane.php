<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Margin;
use Aumbrel\Core\Seen\SeenPlate;
use Closure;

/**
 * Which way a plate's surface faces at every pixel of a window, as the scene sees it: x to the right, y up, and whatever is left
 * of a length of 1 toward the viewer. Two numbers a pixel, packed: kept while a light is walked around the plate.
 */
final readonly class BodyPlane implements Plane
{
    /** From this slope of a depth on the gentler side counts, and steeper than that nothing is. */
    private const STEP = 3.0;

    private const STEEPEST = 20.0;

    /** Detail is as large as this share of the plate's shorter side, where that is not said. */
    private const OF_SIZE = 0.015;

    /**
     * @param  SeenPlate  $plate  as the window sees it
     * @param  SeenPlate|null  $normals  the picture of its normals as the window sees it
     * @param  SeenPlate|null  $depths  the picture of its depth in that larger window, where that forms it
     * @param  SeenPlate|null  $tones  the plate in a window that is larger by what its detail needs around it
     */
    public function __construct(private PlateBody $body, private Placement $placement, private SeenPlate $plate, private Window $window, private ?SeenPlate $normals = null, private ?SeenPlate $tones = null, private ?SeenPlate $depths = null)
    {
    }

    /** How many pixels around a window decide about the detail inside it; 0 without any. */
    public static function margin(PlateBody $body, Placement $placement, Window $window): int
    {
        $least = $body->depth === null ? 0 : Margin::atLeast(2.0);

        return $body->form->detail === 0.0 ? $least : Margin::atLeast(Gaussian::REACH * self::detailSize($body, $placement) * $window->scale + 2);
    }

    /** Scene pixels. */
    private static function detailSize(PlateBody $body, Placement $placement): float
    {
        if ($body->form->detailSize !== null) {
            return $body->form->detailSize * $placement->map()->scaleAt($placement->pivot->x, $placement->pivot->y);
        }
        [$first, $second, , $last] = $placement->corners($body->picture->width(), $body->picture->height());

        return self::OF_SIZE * min(hypot($second[0] - $first[0], $second[1] - $first[1]), hypot($last[0] - $first[0], $last[1] - $first[1]));
    }

    /** By hand: how the plate looks matters only while its tones stand out, so that a base exposure works out no form anew. */
    public function key(): string
    {
        return "{$this->body->key()} {$this->placement->key()} {$this->window->key()}".($this->body->form->detail === 0.0 ? '' : " {$this->plate->key()}");
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        $packed = array_fill(0, $this->window->columns * $this->window->rows, Normals::FRONT);
        $turn = $this->turn();
        [$cos, $sin, $side] = [cos($turn), sin($turn), $this->placement->mirrored ? -1.0 : 1.0];
        $rises = array_values(array_filter([$this->rise($planes), $this->riseOfDepth($planes)]));
        foreach ($this->read($planes) as $at => [$x, $y, $z]) {
            $x *= $side;
            [$x, $y] = [$x * $cos - $y * $sin, $x * $sin + $y * $cos];
            $facing = $z;
            foreach ($rises as [$across, $down]) {
                $x -= $across[$at] * $facing;
                $y += $down[$at] * $facing;
            }
            $packed[$at] = Normals::packed($x, $y, $z);
        }

        /** @var list<int> $packed changed only where it had values already */
        return $packed;
    }

    /** What is wrong with the pictures that tell its form, in a sentence; null when nothing is. */
    public function lacks(): ?string
    {
        return match (true) {
            $this->body->normals !== null && NormalPass::isVoid($this->body->normals) => 'Its picture of normals holds none: all of them have no length. Its outline stands in for it, where it has one.',
            $this->body->depth !== null && $this->body->depth->isFlat() => 'Its picture of depth is flat, so that it tells no form.',
            default => null,
        };
    }

    /** The light that the plate brings along; null when that is not known. */
    public function ownLight(): ?OwnLightPlane
    {
        return $this->body->ownLight();
    }

    /** Where that comes from, turned and mirrored as the body is; null when that is not known. */
    public function lightSeen(): ?Bearing
    {
        $own = $this->body->light;

        return ($own !== null && $this->placement->mirrored ? $own->mirrored() : $own)?->turned(rad2deg($this->turn()));
    }

    /** How far it is turned against its picture, counter-clockwise; in perspective by what is nearest to a turn. */
    private function turn(): float
    {
        $fit = $this->placement->fit;
        if ($fit === null) {
            return deg2rad($this->placement->turn);
        }
        [$a, $b, $d, $e] = $fit->jacobian($this->placement->pivot->x, $this->placement->pivot->y);
        $own = -atan2($d - $b, $a + $e);

        return deg2rad($this->placement->turn) + ($this->placement->mirrored ? -$own : $own);
    }

    /**
     * In the plate's own picture, by the pixels of the window where something of it is seen: x to the right, y up, z toward the viewer, of any length.
     *
     * @return \Generator<int, array{float, float, float}>
     */
    private function read(Planes $planes): \Generator
    {
        $dome = $this->body->outline === null ? null : new DomePlane($this->body->outline);
        $values = $dome === null ? [] : $planes->numbers($dome);
        $bent = $this->bent($planes);
        $normals = $this->normals === null ? null : new Pixels($planes->pixels($this->normals), $this->normals->bits());
        [$reds, $greens, $blues] = $normals?->channels() ?? [[], [], []];
        $upward = $normals === null || ($this->body->form->upward ?? ($this->body->normals === null || NormalPass::growsUpward($this->body->normals)));
        [$columns, $rows, $unit] = [$dome->size->columns ?? 1, $dome->size->rows ?? 1, 1 / 2 ** ($dome->size->level ?? 0)];
        $round = $this->body->form->roundness;
        $toPicture = $this->placement->map()->inverse();
        [$left, $step] = [$this->window->xOf(0), $this->window->step()];
        for ($row = 0; $row < $this->window->rows; $row++) {
            $y = $this->window->yOf($row);
            $span = $this->plate->span($y);
            if ($span === null) {
                continue;
            }
            $first = (int) max(0.0, floor(($span[0] - $left) / $step));
            $end = (int) min((float) $this->window->columns, ceil(($span[1] - $left) / $step) + 1);
            for ($column = $first, $at = $row * $this->window->columns + $first; $column < $end; $column++, $at++) {
                if ($normals !== null) {
                    [$nx, $ny, $nz] = [2 * $reds[$at] - 1, 2 * $greens[$at] - 1, 2 * $blues[$at] - 1];
                    if ($nx * $nx + $ny * $ny + $nz * $nz > NormalPass::LEAST ** 2) {
                        yield $at => [$nx, $upward ? $ny : -$ny, max(0.0, $nz)];

                        continue;
                    }
                }
                if ($dome === null || $this->depths !== null) {
                    // a depth says the rest
                    if ($this->depths !== null) {
                        yield $at => [0.0, 0.0, 1.0];
                    }

                    continue;
                }
                [$px, $py] = $toPicture->at($left + $column * $step, $y);
                $u = min($columns - 1.001, max(0.0, $px * $unit - 0.5));
                $v = min($rows - 1.001, max(0.0, $py * $unit - 0.5));
                [$u0, $v0] = [(int) $u, (int) $v];
                [$fu, $fv] = [$u - $u0, $v - $v0];
                $a = 3 * ($v0 * $columns + $u0);
                $c = $a + 3 * $columns;
                [$w00, $w10, $w01, $w11] = [(1 - $fu) * (1 - $fv), $fu * (1 - $fv), (1 - $fu) * $fv, $fu * $fv];
                $normal = [
                    -$round * ($w00 * $values[$a + 1] + $w10 * $values[$a + 4] + $w01 * $values[$c + 1] + $w11 * $values[$c + 4]),
                    $round * ($w00 * $values[$a + 2] + $w10 * $values[$a + 5] + $w01 * $values[$c + 2] + $w11 * $values[$c + 5]),
                    2 * sqrt(max(0.0, $w00 * $values[$a] + $w10 * $values[$a + 3] + $w01 * $values[$c] + $w11 * $values[$c + 3])) + 1e-6,
                ];
                yield $at => $bent === null ? $normal : $bent($normal, $px, $py);
            }
        }
    }

    /**
     * Bends a normal at a place of the plate's picture by the shading that is seen there.
     *
     * @return (Closure(array{float, float, float}, float, float): array{float, float, float})|null null where nothing bends it
     */
    private function bent(Planes $planes): ?Closure
    {
        $bending = $this->body->bending();
        $numbers = $bending === null ? [] : $planes->numbers($bending);
        if ($bending === null || $this->body->light === null || count($numbers) === OwnLight::NUMBERS) {
            return null;
        }
        [$toward, $weight] = [$this->body->light->vector(), OwnLight::ofNumbers($numbers)->bent];
        [$columns, $rows, $unit] = [$bending->size->columns, $bending->size->rows, 1 / 2 ** $bending->size->level];

        return static function (array $normal, float $x, float $y) use ($numbers, $toward, $weight, $columns, $rows, $unit): array {
            $u = min($columns - 1.001, max(0.0, $x * $unit - 0.5));
            $v = min($rows - 1.001, max(0.0, $y * $unit - 0.5));
            [$u0, $v0] = [(int) $u, (int) $v];
            [$fu, $fv] = [$u - $u0, $v - $v0];
            $at = OwnLight::NUMBERS + $v0 * $columns + $u0;
            $least = min($numbers[$at], $numbers[$at + 1], $numbers[$at + $columns], $numbers[$at + $columns + 1]);
            $seen = $least < 0.0 ? $least : (1 - $fv) * ((1 - $fu) * $numbers[$at] + $fu * $numbers[$at + 1]) + $fv * ((1 - $fu) * $numbers[$at + $columns] + $fu * $numbers[$at + $columns + 1]);
            /** @var array{float, float, float} $normal */
            [$nx, $ny, $nz] = $normal;
            $length = sqrt($nx * $nx + $ny * $ny + $nz * $nz);

            return Bending::of([$nx / $length, $ny / $length, $nz / $length], $toward, $seen, $weight);
        };
    }

    /**
     * The slopes of the heights that its tones are taken for, to the right and down, scene pixels to one.
     *
     * @return array{list<float>, list<float>}|null null without detail
     */
    private function rise(Planes $planes): ?array
    {
        if ($this->tones === null) {
            return null;
        }
        $size = self::detailSize($this->body, $this->placement);
        $margin = self::margin($this->body, $this->placement, $this->window);
        $pixels = new Pixels($planes->pixels($this->tones), $this->tones->bits());
        [$red, $green, $blue] = $pixels->channels();
        $alpha = $pixels->alpha();
        [$columns, $rows, $perPixel] = [$this->window->columns + 2 * $margin, $this->window->rows + 2 * $margin, $this->window->scale];
        $luma = array_map(static fn (float $r, float $g, float $b, float $a): float => Luma::of($r, $g, $b) * $a, $red, $green, $blue, $alpha);
        $blurred = static function (float $sigma) use ($luma, $alpha, $columns, $rows, $perPixel): array {
            [$sums, $weights] = [Gaussian::blur($luma, $columns, $rows, $sigma * $perPixel), Gaussian::blur($alpha, $columns, $rows, $sigma * $perPixel)];

            return array_map(static fn (float $sum, float $weight): float => $weight > 0.02 ? $sum / $weight : 0.0, $sums, $weights);
        };
        $high = $this->body->form->detail * $size * $perPixel;
        $heights = array_map(static fn (float $fine, float $wide): float => $high * ($fine - $wide), $blurred(1.0), $blurred($size));
        $across = $down = [];
        foreach ($heights as $at => $height) {
            $x = $at % $columns;
            $isInside = $alpha[$at] > 0.5;
            $across[] = $isInside ? 0.5 * (($x + 1 < $columns ? $heights[$at + 1] : $height) - ($x > 0 ? $heights[$at - 1] : $height)) : 0.0;
            $down[] = $isInside ? 0.5 * (($heights[$at + $columns] ?? $height) - ($heights[$at - $columns] ?? $height)) : 0.0;
        }

        return [Margin::cut($across, $columns, $rows, $margin), Margin::cut($down, $columns, $rows, $margin)];
    }

    /**
     * The slopes of its depth, to the right and down. A step from one body to another one behind it is no slope.
     *
     * @return array{list<float>, list<float>}|null null where no depth forms it
     */
    private function riseOfDepth(Planes $planes): ?array
    {
        if ($this->depths === null || $this->body->depth === null) {
            return null;
        }
        $margin = self::margin($this->body, $this->placement, $this->window);
        [$columns, $rows] = [$this->window->columns + 2 * $margin, $this->window->rows + 2 * $margin];
        $pixels = new Pixels($planes->pixels($this->depths), $this->depths->bits());
        $perPixel = $this->placement->map()->scaleAt($this->placement->pivot->x, $this->placement->pivot->y) * $this->window->scale;
        $heights = array_map(static fn (float $height): float => $height * $perPixel, $this->body->depth->heights($pixels->channels()[0]));
        $alpha = $pixels->alpha();
        $slope = static function (int $at, int $before, int $after) use ($heights, $alpha): float {
            $back = ($alpha[$before] ?? 0.0) > 0.5 ? $heights[$at] - $heights[$before] : null;
            $on = ($alpha[$after] ?? 0.0) > 0.5 ? $heights[$after] - $heights[$at] : null;
            [$back, $on] = [$back ?? $on ?? 0.0, $on ?? $back ?? 0.0];

            // the gentler one where they differ much
            return max(abs($back), abs($on)) > self::STEP ? (abs($back) < abs($on) ? $back : $on) : 0.5 * ($back + $on);
        };
        $across = $down = [];
        foreach ($heights as $at => $height) {
            $across[] = max(-self::STEEPEST, min(self::STEEPEST, $slope($at, $at - 1, $at + 1)));
            $down[] = max(-self::STEEPEST, min(self::STEEPEST, $slope($at, $at - $columns, $at + $columns)));
        }

        return [Margin::cut($across, $columns, $rows, $margin), Margin::cut($down, $columns, $rows, $margin)];
    }
}
