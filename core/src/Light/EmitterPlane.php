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

    /** Scene pixels from one of the finest pixels to the next. */
    private float $finest;

    /** @param  float|null  $finest  null where the pixels of the window are the finest ones */
    public function __construct(private Emitter $emitter, private Window $window, ?float $finest = null)
    {
        $this->finest = $finest ?? $window->step();
    }

    public function key(): string
    {
        return "{$this->emitter->identity()} {$this->window->key()} of {$this->finest}";
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $part = Part::of($this->window, $this->emitter->extent());
        if ($part === null) {
            return array_fill(0, $this->window->columns * $this->window->rows, 0.0);
        }

        return $part->spread($this->emitter->isExact() || $this->window->step() <= $this->finest * self::SLACK
            ? $planes->sample(fn (KernelWriter $kernel): string => $this->emitter->write($kernel, $part->window), $part->window)
            : $this->means($planes, $part->window));
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
}
