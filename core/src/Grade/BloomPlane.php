<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Beneath;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Halved;
use Aumbrel\Core\Raster\Margin;

/**
 * What spreads from the bright parts of a picture, one channel of linear light at the points of a window.
 *
 * From a luma about the threshold on, at most so bright; several Gaussians of it, by their shares. At the borders of the scene
 * the picture goes on as its mirror image: cut off there, a lamp at the border would be nearly twice too bright.
 */
final readonly class BloomPlane implements Plane
{
    use KeyOfAll;

    /** Half the width of the soft step about the threshold. */
    private const KNEE = 0.1;

    /** A blur of so many points is as smooth on half as many. */
    private const COARSE = 6.0;

    /** Nothing spreads as if it were brighter than this, linear. */
    private const BRIGHTEST = 8.0;

    /**
     * @param  float  $threshold  encoded luma
     * @param  non-empty-list<array{float, float}>  $blurs  sigma in scene pixels and share of each; the shares come to one
     * @param  array{int, int}  $size  of the scene
     * @param  0|1|2  $channel
     */
    public function __construct(private Beneath $beneath, private float $threshold, private array $blurs, private array $size, private Window $points, private int $channel)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $points = $this->points;
        $step = $points->step();
        $margin = (int) ceil(Gaussian::REACH * max(array_column($this->blurs, 0)) / $step);
        [$columns, $places] = self::mirrored($points->xOf(0) - $margin * $step, $points->columns + 2 * $margin, $step, $this->size[0]);
        [$rows, $heights] = self::mirrored($points->yOf(0) - $margin * $step, $points->rows + 2 * $margin, $step, $this->size[1]);
        [$firstX, $firstY] = [min($columns), min($rows)];
        [$wide, $high] = [max($columns) - $firstX + 1, max($rows) - $firstY + 1];
        $seen = new Window($places($firstX) - $step / 2, $heights($firstY) - $step / 2, $wide * $step, $high * $step, $points->scale);
        $own = [];
        foreach (self::bright($this->beneath->colours($seen), $this->threshold) as $channel => $source) {
            $plane = [];
            foreach ($rows as $row) {
                $from = ($row - $firstY) * $wide - $firstX;
                foreach ($columns as $column) {
                    $plane[] = $source[$from + $column];
                }
            }
            $values = $this->spread($plane, count($columns), count($rows), $margin);
            if ($channel === $this->channel) {
                $own = $values;
            }
            $planes->keep(new self($this->beneath, $this->threshold, $this->blurs, $this->size, $points, $channel), $values);
        }

        return $own;
    }

    /**
     * Which place of a line stands for each of a row of places, counted from the first one: itself, or its mirror image inside of the scene.
     *
     * @return array{non-empty-list<int>, \Closure(int): float} and where a place of that number lies
     */
    private static function mirrored(float $first, int $count, float $step, int $length): array
    {
        $stands = [];
        for ($at = 0; $at < max(1, $count); $at++) {
            $place = fmod(abs($first + $at * $step), 2.0 * $length);
            if ($place > $length) {
                $place = 2.0 * $length - $place;
            }
            $stands[] = (int) round(($place - $first) / $step);
        }

        return [$stands, static fn (int $number): float => $first + $number * $step];
    }

    /**
     * @param  array{list<float>, list<float>, list<float>, list<float>}  $colours  encoded, and alpha
     * @return array{list<float>, list<float>, list<float>} linear light of what is bright
     */
    private static function bright(array $colours, float $threshold): array
    {
        [$red, $green, $blue, $there] = $colours;
        $bright = array_fill(0, 3, array_fill(0, count($there), 0.0));
        $from = $threshold - self::KNEE;
        foreach ($there as $at => $alpha) {
            $luma = Luma::of($red[$at], $green[$at], $blue[$at]);
            if ($luma <= $from) {
                continue;
            }
            $share = min(1.0, ($luma - $from) / (2 * self::KNEE));
            $share *= $share * (3 - 2 * $share);
            $bright[0][$at] = $alpha * min(self::BRIGHTEST, $share * Srgb::decode($red[$at]));
            $bright[1][$at] = $alpha * min(self::BRIGHTEST, $share * Srgb::decode($green[$at]));
            $bright[2][$at] = $alpha * min(self::BRIGHTEST, $share * Srgb::decode($blue[$at]));
        }

        /** @var array{list<float>, list<float>, list<float>} $bright written only where they had values already */
        return $bright;
    }

    /**
     * @param  list<float>  $plane
     * @return list<float> without the margin
     */
    private function spread(array $plane, int $columns, int $rows, int $margin): array
    {
        $sums = array_fill(0, $this->points->columns * $this->points->rows, 0.0);
        foreach ($this->blurs as [$sigma, $share]) {
            $sigma /= $this->points->step();
            // what is blurred widely is blurred on fewer points, and a narrow blur needs less around it
            $needed = min($margin, (int) ceil(Gaussian::REACH * $sigma));
            [$blurred, $across, $down] = [Margin::cut($plane, $columns, $rows, $margin - $needed), $columns - 2 * ($margin - $needed), $rows - 2 * ($margin - $needed)];
            for ($fewer = 1; $sigma / $fewer > self::COARSE; $fewer *= 2) {
                [$blurred, $across, $down] = Halved::ofAny($blurred, $across, $down);
            }
            // means of several points, and lines between fewer, blur as well
            $blurred = Gaussian::blur($blurred, $across, $down, sqrt($sigma ** 2 - ($fewer ** 2 - 1) / 12 - ($fewer === 1 ? 0 : $fewer ** 2 / 6)) / $fewer);
            [$entries, $shares] = [[], []];
            for ($column = 0; $column < $this->points->columns; $column++) {
                $u = ($column + $needed + 0.5) / $fewer - 0.5;
                $entries[] = (int) $u;
                $shares[] = $share * ($u - (int) $u);
            }
            for ($row = 0, $at = 0; $row < $this->points->rows; $row++) {
                // between its rows first, then between its columns
                $v = min($down - 1.001, max(0.0, ($row + $needed + 0.5) / $fewer - 0.5));
                $fy = $v - (int) $v;
                $line = [];
                for ($from = (int) $v * $across, $end = $from + $across; $from < $end; $from++) {
                    $line[] = $blurred[$from] + ($fy === 0.0 ? 0.0 : $fy * ($blurred[$from + $across] - $blurred[$from]));
                }
                $line[] = 0.0;
                foreach ($entries as $column => $entry) {
                    $sums[$at++] += $share * $line[$entry] + $shares[$column] * ($line[$entry + 1] - $line[$entry]);
                }
            }
        }

        // a recursive filter swings a hair below nothing beside what is bright
        foreach ($sums as $at => $sum) {
            if ($sum < 0.0) {
                $sums[$at] = 0.0;
            }
        }

        /** @var list<float> $sums changed only where it had values already */
        return $sums;
    }
}
