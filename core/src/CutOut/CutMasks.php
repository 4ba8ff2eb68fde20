<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Plate\PictureSource;
use Aumbrel\Core\Render\Planes;
use Aumbrel\Core\Scene\MaskEntry;

/** The masks that lie on a plate and together cut it out. */
final readonly class CutMasks
{
    /** @param  list<MaskEntry>  $all */
    public function __construct(private array $all)
    {
    }

    public function key(): string
    {
        return hash('xxh128', serialize(array_map(static fn (MaskEntry $mask): array => $mask->toArray(), $this->all)));
    }

    /**
     * What they make together of the pixels of a frame; 1 where there are none.
     *
     * @return list<float>
     */
    public function joined(Planes $planes, Frame $frame, PictureSource $picture): array
    {
        $joined = null;
        foreach ($this->all as $entry) {
            $joined = $entry->joined($joined, $planes->numbers($entry->onPlate($frame, $picture)));
        }

        return $joined ?? array_fill(0, $frame->window->columns * $frame->window->rows, 1.0);
    }
}
