<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Raster\Noise;

/**
 * Paints strokes into a plane of mask values.
 *
 * Within a stroke stamps build up toward its opacity: `a += max(0, opacity - a) * flow * stamp`. The whole stroke then
 * moves the mask: toward 1 by `m + a (1 - m)`, toward 0 by `m (1 - a)`.
 */
final readonly class Brush
{
    public function __construct(private Frame $frame)
    {
    }

    /** @param  array<int, float>  $mask row after row of the frame's window */
    public function paint(array &$mask, Stroke $stroke): void
    {
        $this->lay($mask, $stroke, $this->painted($stroke));
    }

    /**
     * Moves a mask by what is painted of a stroke.
     *
     * @param  array<int, float>  $mask
     * @param  array{array<int, float>, int, int, int, int}  $what  as {@see painted()} gives it
     */
    public function lay(array &$mask, Stroke $stroke, array $what): void
    {
        [$painted, $left, $top, $width, $height] = $what;
        $columns = $this->frame->window->columns;
        $toward = $stroke->letsIn ? 1.0 : 0.0;
        for ($row = 0, $from = 0; $row < $height; $row++) {
            for ($column = 0, $at = ($top + $row) * $columns + $left; $column < $width; $column++, $at++, $from++) {
                $value = $mask[$at];
                $mask[$at] = $value + $painted[$from] * ($toward - $value);
            }
        }
    }

    /**
     * Marks what a stroke covers by more than half, whatever its opacity.
     *
     * @param  array<int, int>  $marks  row after row of the frame's window
     */
    public function mark(array &$marks, Stroke $stroke, int $mark): void
    {
        [$painted, $left, $top, $width, $height] = $this->painted($stroke);
        $columns = $this->frame->window->columns;
        $half = $stroke->opacity * $stroke->flow / 2;
        for ($row = 0, $from = 0; $row < $height; $row++) {
            for ($column = 0, $at = ($top + $row) * $columns + $left; $column < $width; $column++, $at++, $from++) {
                if ($painted[$from] > $half) {
                    $marks[$at] = $mark;
                }
            }
        }
    }

    /** @return array{array<int, float>, int, int, int, int} how much of the stroke is in each pixel of a box, its left, top, width and height */
    public function painted(Stroke $stroke): array
    {
        $stamps = $this->stamps($stroke);
        $box = $this->box($stamps);
        if ($box === null) {
            return [[], 0, 0, 0, 0];
        }
        [$left, $top, $right, $bottom] = $box;
        $width = $right - $left;
        $painted = array_fill(0, $width * ($bottom - $top), 0.0);
        $grid = TipGrid::of($stroke);
        foreach ($stamps as $at => $stamp) {
            if ($grid !== null) {
                $turn = $stroke->tip->turns() ? 2 * M_PI * Noise::hash($stroke->seed + 7919 * $at) / 2 ** 32 : 0.0;
                $this->gridMark($painted, $stamp, $grid, $turn, $stroke->tip === Tip::Picture ? null : $stroke->hardness, $left, $top, $width, $bottom - $top);
            } elseif ($stroke->tip === Tip::Lamp) {
                $this->lampMark($painted, $stamp, $this->along($stamps, $at), $stroke->stretch, $left, $top, $width, $bottom - $top);
            } else {
                $this->stamp($painted, $stamp, $stroke->hardness, $left, $top, $width, $bottom - $top);
            }
        }
        if ($stroke->dapples > 0) {
            $painted = $this->dappled($painted, new Dapples($stroke->dapples, $stroke->size / 2, $stroke->seed), $left, $top, $width);
        }

        return [$painted, $left, $top, $width, $bottom - $top];
    }

    /** @return list<array{x: float, y: float, radius: float, reach: array{float, float}, opacity: float, flow: float, at: array{float, float}, own: float}> in pixels; `at` and `own` are place and radius in the shape's units */
    private function stamps(Stroke $stroke): array
    {
        $stamps = [];
        $isSimilar = $this->frame->isSimilar();
        $scale = $this->frame->pixelsPerUnit();
        foreach ($stroke->stamps() as [$x, $y, $pressure]) {
            $own = $stroke->size / 2 * ($stroke->pressure === Pressure::Size ? $pressure : 1.0);
            [$column, $row] = $this->frame->toPixels->at($x, $y);
            $radius = $own * ($isSimilar ? $scale : $this->frame->toPixels->scaleAt($x, $y));
            $far = $stroke->tip === Tip::Lamp ? LampMark::REACH * $stroke->stretch : 1.0;
            $reach = $isSimilar ? [$far * $radius + 1, $far * $radius + 1] : $this->reach($x, $y, $far * $own, $column, $row);
            $stamps[] = [
                'x' => $column, 'y' => $row, 'radius' => $radius, 'reach' => $reach, 'at' => [$x, $y], 'own' => $own,
                'opacity' => $stroke->opacity * ($stroke->pressure === Pressure::Opacity ? $pressure : 1.0),
                'flow' => $stroke->flow * ($stroke->pressure === Pressure::Flow ? $pressure : 1.0),
            ];
        }

        return $stamps;
    }

    /** @return array{float, float} how far a stamp reaches along columns and rows in perspective */
    private function reach(float $x, float $y, float $radius, float $column, float $row): array
    {
        $reach = [1.0, 1.0];
        for ($k = 0; $k < 16; $k++) {
            [$c, $r] = $this->frame->toPixels->at($x + $radius * 1.02 * cos($k * M_PI / 8), $y + $radius * 1.02 * sin($k * M_PI / 8));
            $reach = [max($reach[0], abs($c - $column) + 2), max($reach[1], abs($r - $row) + 2)];
        }

        return $reach;
    }

    /**
     * @param  list<array{x: float, y: float, reach: array{float, float}}>  $stamps
     * @return array{int, int, int, int}|null left, top, right, bottom inside the window
     */
    private function box(array $stamps): ?array
    {
        [$left, $top, $right, $bottom] = [INF, INF, -INF, -INF];
        foreach ($stamps as $stamp) {
            $left = min($left, $stamp['x'] - $stamp['reach'][0]);
            $right = max($right, $stamp['x'] + $stamp['reach'][0]);
            $top = min($top, $stamp['y'] - $stamp['reach'][1]);
            $bottom = max($bottom, $stamp['y'] + $stamp['reach'][1]);
        }
        $box = [
            (int) max(0.0, floor($left)), (int) max(0.0, floor($top)),
            (int) min((float) $this->frame->window->columns, ceil($right)), (int) min((float) $this->frame->window->rows, ceil($bottom)),
        ];

        return $box[0] < $box[2] && $box[1] < $box[3] ? $box : null;
    }

    /**
     * The way on which a stamp lies, as a unit vector in pixels: from the one before it to the one after it.
     *
     * @param  list<array{x: float, y: float, radius: float, reach: array{float, float}, opacity: float, flow: float, at: array{float, float}, own: float}>  $stamps
     * @return array{float, float}
     */
    private function along(array $stamps, int $at): array
    {
        [$from, $to] = [$stamps[max(0, $at - 1)], $stamps[min(count($stamps) - 1, $at + 1)]];
        $length = hypot($to['x'] - $from['x'], $to['y'] - $from['y']);

        return $length > 0 ? [($to['x'] - $from['x']) / $length, ($to['y'] - $from['y']) / $length] : [1.0, 0.0];
    }

    /**
     * The mark of a lamp, longer along the stroke than across by the stretch.
     *
     * @param  array<int, float>  $painted
     * @param  array{x: float, y: float, radius: float, reach: array{float, float}, opacity: float, flow: float}  $stamp
     * @param  array{float, float}  $along
     */
    private function lampMark(array &$painted, array $stamp, array $along, float $stretch, int $left, int $top, int $width, int $height): void
    {
        ['x' => $x, 'y' => $y, 'opacity' => $opacity, 'flow' => $flow] = $stamp;
        [$reachX, $reachY] = $stamp['reach'];
        $unit = 1 / max(0.5, $stamp['radius']);
        [$alongX, $alongY] = [$along[0] * $unit / $stretch, $along[1] * $unit / $stretch];
        [$acrossX, $acrossY] = [-$along[1] * $unit, $along[0] * $unit];
        $from = (int) max((float) $left, ceil($x - $reachX - 0.5));
        $to = (int) min($left + $width - 1.0, floor($x + $reachX - 0.5));
        $lastRow = (int) min($top + $height - 1.0, floor($y + $reachY - 0.5));
        for ($row = (int) max((float) $top, ceil($y - $reachY - 0.5)); $row <= $lastRow; $row++) {
            $dy = $row + 0.5 - $y;
            for ($column = $from, $at = ($row - $top) * $width + $from - $left, $dx = $from + 0.5 - $x; $column <= $to; $column++, $at++, $dx += 1.0) {
                $u = $dx * $alongX + $dy * $alongY;
                $v = $dx * $acrossX + $dy * $acrossY;
                $value = $painted[$at];
                if ($value < $opacity) {
                    $painted[$at] = $value + ($opacity - $value) * $flow * LampMark::at($u * $u + $v * $v);
                }
            }
        }
    }

    /**
     * The mark of an irregular tip: its greys, read between them, times the disc of a plain brush where it has one.
     *
     * @param  array<int, float>  $painted
     * @param  array{x: float, y: float, radius: float, reach: array{float, float}, opacity: float, flow: float}  $stamp
     * @param  float  $turn  radians
     * @param  float|null  $hardness  of the disc; null for the whole square
     */
    private function gridMark(array &$painted, array $stamp, TipGrid $grid, float $turn, ?float $hardness, int $left, int $top, int $width, int $height): void
    {
        ['x' => $x, 'y' => $y, 'opacity' => $opacity, 'flow' => $flow] = $stamp;
        $radius = max(0.5, $stamp['radius']);
        [$values, $side] = $grid->level($radius);
        $half = $side / 2;
        [$cos, $sin] = [cos($turn) / $radius, sin($turn) / $radius];
        $ramp = max(1.0, $radius * (1 - ($hardness ?? 0.0)));
        $inner = $radius * (1 + ($hardness ?? 0.0)) / 2 - $ramp / 2;
        $last = $side - 1;
        $from = (int) max((float) $left, ceil($x - $radius - 0.5));
        $to = (int) min($left + $width - 1.0, floor($x + $radius - 0.5));
        $lastRow = (int) min($top + $height - 1.0, floor($y + $radius - 0.5));
        for ($row = (int) max((float) $top, ceil($y - $radius - 0.5)); $row <= $lastRow; $row++) {
            $dy = $row + 0.5 - $y;
            for ($column = $from, $at = ($row - $top) * $width + $from - $left, $dx = $from + 0.5 - $x; $column <= $to; $column++, $at++, $dx += 1.0) {
                $u = ($cos * $dx + $sin * $dy + 1.0) * $half - 0.5;
                $v = ($cos * $dy - $sin * $dx + 1.0) * $half - 0.5;
                if ($u < -0.5 || $v < -0.5 || $u > $side - 0.5 || $v > $side - 0.5) {
                    continue;
                }
                $u = $u > 0.0 ? ($u < $last ? $u : $last) : 0.0;
                $v = $v > 0.0 ? ($v < $last ? $v : $last) : 0.0;
                $i = (int) $u < $last ? (int) $u : $last - 1;
                $j = (int) $v < $last ? (int) $v : $last - 1;
                $k = $j * $side + $i;
                $high = $values[$k] + ($u - $i) * ($values[$k + 1] - $values[$k]);
                $low = $values[$k + $side] + ($u - $i) * ($values[$k + $side + 1] - $values[$k + $side]);
                $share = $high + ($v - $j) * ($low - $high);
                if ($hardness !== null) {
                    $disc = 1.0 - (sqrt($dx * $dx + $dy * $dy) - $inner) / $ramp;
                    $share *= $disc > 0.0 ? ($disc < 1.0 ? $disc * $disc * (3.0 - 2.0 * $disc) : 1.0) : 0.0;
                }
                $value = $painted[$at];
                if ($value < $opacity) {
                    $painted[$at] = $value + ($opacity - $value) * $flow * $share;
                }
            }
        }
    }

    /**
     * In an array of its own: PHP 8.2, compiling while it runs, now and then loses what is written into an array taken by
     * reference while it is walked over.
     *
     * @param  array<int, float>  $painted
     * @return array<int, float>
     */
    private function dappled(array $painted, Dapples $dapples, int $left, int $top, int $width): array
    {
        $dappled = [];
        foreach ($painted as $at => $value) {
            if ($value > 0.0) {
                [$x, $y] = $this->frame->fromPixels->at($left + $at % $width + 0.5, $top + intdiv($at, $width) + 0.5);
                $value *= $dapples->at($x, $y);
            }
            $dappled[$at] = $value;
        }

        return $dappled;
    }

    /**
     * One stamp: smoothstep from the edge to the hard part, over a ramp never narrower than a pixel.
     *
     * @param  array<int, float>  $painted
     * @param  array{x: float, y: float, radius: float, reach: array{float, float}, opacity: float, flow: float, at: array{float, float}, own: float}  $stamp
     */
    private function stamp(array &$painted, array $stamp, float $hardness, int $left, int $top, int $width, int $height): void
    {
        ['x' => $x, 'y' => $y, 'radius' => $radius, 'opacity' => $opacity, 'flow' => $flow] = $stamp;
        $ramp = max(1.0, $radius * (1 - $hardness));
        $inner = $radius * (1 + $hardness) / 2 - $ramp / 2;
        $outer = $inner + $ramp;
        $solid = $inner > 0 ? $inner * $inner : 0.0;
        $perRamp = 1 / $ramp;
        $isSimilar = $this->frame->isSimilar();
        [$reachX, $reachY] = $isSimilar ? [$outer, $outer] : $stamp['reach'];
        $firstRow = (int) max((float) $top, ceil($y - $reachY - 0.5));
        $lastRow = (int) min($top + $height - 1.0, floor($y + $reachY - 0.5));
        for ($row = $firstRow; $row <= $lastRow; $row++) {
            $dy = $row + 0.5 - $y;
            $half = $isSimilar ? sqrt(max(0.0, $outer * $outer - $dy * $dy)) : $reachX;
            $from = (int) max((float) $left, ceil($x - $half - 0.5));
            $to = (int) min($left + $width - 1.0, floor($x + $half - 0.5));
            $at = ($row - $top) * $width + $from - $left;
            if (! $isSimilar) {
                $this->bentRow($painted, $stamp, $row, $from, $to, $at, $inner, $perRamp);

                continue;
            }
            $dx = $from + 0.5 - $x;
            $dy2 = $dy * $dy;
            for ($column = $from; $column <= $to; $column++, $at++, $dx += 1.0) {
                $square = $dx * $dx + $dy2;
                $share = 1.0;
                if ($square > $solid) {
                    $share = ($outer - sqrt($square)) * $perRamp;
                    $share = $share > 0.0 ? $share * $share * (3.0 - 2.0 * $share) : 0.0;
                }
                $value = $painted[$at];
                if ($value < $opacity) {
                    $painted[$at] = $value + ($opacity - $value) * $flow * $share;
                }
            }
        }
    }

    /**
     * A row of a stamp in perspective: the distance is taken on the picture, where the stamp is round.
     *
     * @param  array<int, float>  $painted
     * @param  array{radius: float, opacity: float, flow: float, at: array{float, float}, own: float}  $stamp
     */
    private function bentRow(array &$painted, array $stamp, int $row, int $from, int $to, int $at, float $inner, float $perRamp): void
    {
        [$ownX, $ownY] = $stamp['at'];
        $toPixels = $stamp['own'] > 0 ? $stamp['radius'] / $stamp['own'] : 0.0;
        ['opacity' => $opacity, 'flow' => $flow] = $stamp;
        for ($column = $from; $column <= $to; $column++, $at++) {
            [$u, $v] = $this->frame->fromPixels->at($column + 0.5, $row + 0.5);
            $share = 1.0 - (hypot($u - $ownX, $v - $ownY) * $toPixels - $inner) * $perRamp;
            $share = $share > 0.0 ? ($share < 1.0 ? $share * $share * (3.0 - 2.0 * $share) : 1.0) : 0.0;
            $value = $painted[$at];
            if ($value < $opacity) {
                $painted[$at] = $value + ($opacity - $value) * $flow * $share;
            }
        }
    }
}
