<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Guide;
use Aumbrel\Core\Stroke\Brush;
use Aumbrel\Core\Stroke\Stroke;

/**
 * What strokes make of the pixels of a window.
 *
 * The plane without the last stroke is kept too: while that one is being painted, only it is painted again.
 */
final readonly class StrokesPlane implements Plane
{
    use KeyOfAll;

    /** So many strokes back a kept plane is looked for. */
    private const LOOK_BACK = 6;

    /**
     * @param  list<Stroke>  $strokes
     * @param  Guide|null  $guide  the picture that strokes go by which stay on what is alike; null where there is none
     */
    public function __construct(private array $strokes, private float $start, private Frame $frame, private ?Guide $guide = null)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $count = count($this->strokes);
        if ($count < 2) {
            return $this->painted($planes, array_fill(0, $this->frame->window->columns * $this->frame->window->rows, $this->start), $this->strokes);
        }
        for ($last = $count - 1; $last > max(1, $count - self::LOOK_BACK); $last--) {
            $kept = $this->first($last);
            if ($planes->holds($kept)) {
                return $this->painted($planes, $planes->numbers($kept), array_slice($this->strokes, $last));
            }
        }
        $before = $this->first($count - 1);
        $plane = $this->painted($planes, array_fill(0, $this->frame->window->columns * $this->frame->window->rows, $this->start), $before->strokes);

        return $this->painted($planes, $planes->keep($before, $plane), [$this->strokes[$count - 1]]);
    }

    private function first(int $count): self
    {
        return new self(array_slice($this->strokes, 0, $count), $this->start, $this->frame, $this->guide);
    }

    /**
     * @param  list<float>  $plane
     * @param  list<Stroke>  $strokes
     * @return list<float>
     */
    private function painted(Planes $planes, array $plane, array $strokes): array
    {
        $brush = new Brush($this->frame);
        $alike = $this->guide === null ? null : new Alike($this->guide, $planes, $this->frame->window);
        foreach ($strokes as $stroke) {
            $painted = $brush->painted($stroke);
            $brush->lay($plane, $stroke, $stroke->alike > 0 && $alike !== null ? $alike->of($stroke, $painted) : $painted);
        }

        /** @var list<float> $plane changed only where it had values already */
        return $plane;
    }
}
