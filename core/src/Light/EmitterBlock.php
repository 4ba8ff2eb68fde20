<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Raster\Halved;

/**
 * A square block of what shines in the finest pixels, or in larger ones, each the mean of four of half its size. Blocks are
 * anchored to the scene, so that every shell of a glow, however wide, is made from the same ones.
 */
final readonly class EmitterBlock implements Plane
{
    use KeyOfAll;

    /** The finest pixels along a side; a power of two. */
    private const FINEST = 256;

    /**
     * @param  float  $finest  scene pixels from one of the finest pixels to the next
     * @param  int  $level  how often they were halved
     * @param  int  $column  blocks from the scene's left border @param  int  $row from its upper one
     */
    public function __construct(private Emitter $emitter, private float $finest, private int $level, private int $column, private int $row)
    {
    }

    /** Pixels along a side. */
    public static function side(int $level): int
    {
        return max(1, self::FINEST >> $level);
    }

    /** @return list<float> empty where nothing shines: blocks outside of a shape are many, and cost nothing then */
    public function fill(Planes $planes): array
    {
        if ($this->level === 0) {
            return $this->finest($planes);
        }
        if (self::FINEST >> $this->level === 0) {
            $mean = $this->meanOfFour($planes);

            return $mean > 0.0 ? [$mean] : [];
        }
        $finer = $planes->numbers($this->finer($this->column, $this->row));

        return $finer === [] ? [] : Halved::of($finer, self::side($this->level), self::side($this->level));
    }

    /** @return list<float> */
    private function finest(Planes $planes): array
    {
        $size = self::FINEST * $this->finest;
        $values = (new EmitterPlane($this->emitter, new Window($this->column * $size, $this->row * $size, $size, $size, 1 / $this->finest)))->worked($planes) ?? [];
        foreach ($values as $value) {
            if ($value > 0.0) {
                return $values;
            }
        }

        return [];
    }

    private function finer(int $column, int $row): self
    {
        return new self($this->emitter, $this->finest, $this->level - 1, $column, $row);
    }

    /** Of blocks that are single pixels already. */
    private function meanOfFour(Planes $planes): float
    {
        $sum = 0.0;
        foreach ([0, 1] as $down) {
            foreach ([0, 1] as $across) {
                $sum += $planes->numbers($this->finer(2 * $this->column + $across, 2 * $this->row + $down))[0] ?? 0.0;
            }
        }

        return 0.25 * $sum;
    }
}
