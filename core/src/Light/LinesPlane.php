<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;

/**
 * Lines in the pixels of a window: the share of each pixel between the two sides of the line, taken across it, times the fade at
 * the nearest place of the line.
 */
final readonly class LinesPlane implements Plane
{
    use KeyOfAll;

    private const FADES = 512;

    public function __construct(private TracedLines $lines, private Window $window)
    {
    }

    /**
     * The share of a pixel that lies between the sides of a line.
     *
     * @param  float  $distance  of the pixel's middle from the line, pixels
     * @param  float  $half  half the line's width, pixels
     */
    public static function share(float $distance, float $half): float
    {
        $to = $half < $distance + 0.5 ? $half : $distance + 0.5;
        $from = -$half > $distance - 0.5 ? -$half : $distance - 0.5;

        return $to > $from ? $to - $from : 0.0;
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $values = array_fill(0, $this->window->columns * $this->window->rows, 0.0);
        $half = $this->lines->width / 2 * $this->window->scale;
        $fades = [];
        for ($k = 0; $k <= self::FADES; $k++) {
            $fades[] = $this->lines->fade->valueAt($k / self::FADES, false);
        }
        foreach ($this->lines->lines as $line) {
            foreach ($this->nearest($line, $half + 0.5) as $at => [$square, $share]) {
                $value = self::share(sqrt($square), $half) * $fades[(int) ($share * self::FADES + 0.5)];
                if ($value > $values[$at]) {
                    $values[$at] = $value;
                }
            }
        }

        /** @var list<float> $values changed only where it had values already */
        return $values;
    }

    /**
     * The square of the distance, and how far along the line its nearest place is, of the pixels beside it.
     *
     * @param  list<array{float, float}>  $line  scene pixels
     * @param  float  $reach  pixels
     * @return array<int, array{float, float}>
     */
    private function nearest(array $line, float $reach): array
    {
        $scale = $this->window->scale;
        [$left, $top] = [$this->window->xOf(0), $this->window->yOf(0)];
        $points = array_map(static fn (array $point): array => [($point[0] - $left) * $scale, ($point[1] - $top) * $scale], $line);
        $lengths = [];
        for ($k = 1; $k < count($points); $k++) {
            $lengths[] = hypot($points[$k][0] - $points[$k - 1][0], $points[$k][1] - $points[$k - 1][1]);
        }
        $whole = max(1e-9, array_sum($lengths));
        $most = $reach * $reach;
        $found = [];
        $passed = 0.0;
        foreach ($lengths as $k => $length) {
            [[$x0, $y0], [$x1, $y1]] = [$points[$k], $points[$k + 1]];
            [$dx, $dy] = [$x1 - $x0, $y1 - $y0];
            $perSquare = $length > 0 ? 1 / ($length * $length) : 0.0;
            $lastRow = (int) min($this->window->rows - 1, floor(max($y0, $y1) + $reach));
            for ($row = (int) max(0, ceil(min($y0, $y1) - $reach)); $row <= $lastRow; $row++) {
                [$from, $to] = $this->columns($x0, $y0, $dx, $dy, $row, $reach);
                for ($column = $from, $at = $row * $this->window->columns + $from; $column <= $to; $column++, $at++) {
                    $along = (($column - $x0) * $dx + ($row - $y0) * $dy) * $perSquare;
                    $along = $along > 0.0 ? ($along < 1.0 ? $along : 1.0) : 0.0;
                    $square = ($column - $x0 - $along * $dx) ** 2 + ($row - $y0 - $along * $dy) ** 2;
                    if ($square < $most && $square < ($found[$at][0] ?? INF)) {
                        $found[$at] = [$square, ($passed + $along * $length) / $whole];
                    }
                }
            }
            $passed += $length;
        }

        return $found;
    }

    /** @return array{int, int} the columns of a row that a piece can be near to */
    private function columns(float $x0, float $y0, float $dx, float $dy, int $row, float $reach): array
    {
        [$from, $to] = [min($x0, $x0 + $dx), max($x0, $x0 + $dx)];
        if (abs($dy) > 1e-9) {
            // where the piece passes the rows that are near enough
            $ends = [];
            foreach ([$row - $reach, $row + $reach] as $y) {
                $ends[] = $x0 + max(0.0, min(1.0, ($y - $y0) / $dy)) * $dx;
            }
            [$from, $to] = [min($ends), max($ends)];
        }

        return [(int) max(0.0, ceil($from - $reach)), (int) min($this->window->columns - 1.0, floor($to + $reach))];
    }
}
