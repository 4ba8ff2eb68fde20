<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;

/**
 * What shines, in the pixels of a window: those that are larger than the finest ones are means of four smaller ones, so that
 * nothing thin or small gets lost in them. Only where there can be anything it is worked out.
 */
final readonly class EmitterPlane implements Plane
{
    /** Pixels that are larger by less than this count as the same. */
    private const SLACK = 1.0001;

    /** @param  float  $finest  scene pixels from one of the finest pixels to the next */
    public function __construct(private Emitter $emitter, private Window $window, private float $finest)
    {
    }

    public function key(): string
    {
        return "{$this->emitter->identity()} {$this->window->key()} of {$this->finest}";
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        [$left, $top, $columns, $rows] = $this->part();
        $all = array_fill(0, $this->window->columns * $this->window->rows, 0.0);
        if ($columns <= 0 || $rows <= 0) {
            return $all;
        }
        $isWhole = $columns === $this->window->columns && $rows === $this->window->rows;
        $step = $this->window->step();
        $part = $isWhole ? $this->window : new Window($this->window->xOf($left) - $step / 2, $this->window->yOf($top) - $step / 2, $columns * $step, $rows * $step, $this->window->scale);
        $values = $this->emitter->isExact() || $step <= $this->finest * self::SLACK
            ? $planes->sample(fn (KernelWriter $kernel): string => $this->emitter->write($kernel, $part), $part)
            : $this->means($planes, $part);
        if ($isWhole) {
            return $values;
        }
        for ($row = 0, $from = 0; $row < $rows; $row++) {
            for ($column = 0, $at = ($top + $row) * $this->window->columns + $left; $column < $columns; $column++, $at++, $from++) {
                $all[$at] = $values[$from];
            }
        }

        /** @var list<float> $all changed only where it had values already */
        return $all;
    }

    /**
     * Means of the four pixels in each one.
     *
     * @return list<float>
     */
    private function means(Planes $planes, Window $part): array
    {
        $fine = $planes->numbers(new self($this->emitter, new Window($part->x, $part->yOf(0) - $part->step() / 2, $part->columns * $part->step(), $part->rows * $part->step(), 2 * $part->scale), $this->finest));
        $means = [];
        $pitch = 2 * $part->columns;
        for ($row = 0; $row < $part->rows; $row++) {
            $at = 2 * $row * $pitch;
            for ($column = 0; $column < $part->columns; $column++, $at += 2) {
                $means[] = 0.25 * ($fine[$at] + $fine[$at + 1] + $fine[$at + $pitch] + $fine[$at + $pitch + 1]);
            }
        }

        return $means;
    }

    /** @return array{int, int, int, int} first column, first row, columns and rows where there can be anything */
    private function part(): array
    {
        $extent = $this->emitter->extent();
        if ($extent === null) {
            return [0, 0, $this->window->columns, $this->window->rows];
        }
        [$left, $right, $top, $bottom] = [$this->window->columns, 0, -1, -2];
        $step = $this->window->step();
        for ($row = 0; $row < $this->window->rows; $row++) {
            // a part of the pixel may reach into it where its middle does not
            foreach ([-0.5, 0.0, 0.5] as $beside) {
                $span = $extent->span($this->window->yOf($row + $beside));
                if ($span === null) {
                    continue;
                }
                $top = $top < 0 ? $row : $top;
                $bottom = $row;
                $left = (int) max(0.0, min($left, floor(($span[0] - $this->window->x) / $step)));
                $right = (int) max($right, min((float) $this->window->columns, ceil(($span[1] - $this->window->x) / $step)));
            }
        }

        return [$left, $top, $right - $left, $bottom - $top + 1];
    }
}
