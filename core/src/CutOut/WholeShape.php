<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Plate\PictureSource;
use Aumbrel\Core\Plate\Placement;
use Aumbrel\Core\Render\Plane;
use Aumbrel\Core\Render\Planes;
use Aumbrel\Core\Scene\MaskEntry;

/** All of a plate's cut-out at once, in the picture's own pixels or those of one of its halvings, before its edge is cleaned. */
final readonly class WholeShape implements Plane
{
    /** Pixels that are enough to tell pieces and holes apart. */
    private const MOST_PIXELS = 500_000;

    public int $level;

    public Window $window;

    /** @param  list<MaskEntry>  $masks  those that lie on the plate */
    public function __construct(private PictureSource $picture, private array $masks, int $most = self::MOST_PIXELS)
    {
        $this->level = Colours::levelFor($picture, $most);
        $unit = 2 ** $this->level;
        [$columns, $rows] = [(int) ceil($picture->width() / $unit), (int) ceil($picture->height() / $unit)];
        $this->window = new Window(0, 0, $columns * $unit, $rows * $unit, 1 / $unit);
    }

    public function key(): string
    {
        return "whole shape {$this->picture->key()} {$this->level} ".hash('xxh128', serialize(array_map(static fn (MaskEntry $mask): array => $mask->toArray(), $this->masks)));
    }

    public function scale(): float
    {
        return $this->window->scale;
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $bits = $this->picture->bits();
        $mask = (1 << $bits) - 1;
        $joined = null;
        $frame = Frame::plate($this->window, new Placement(new Point(0, 0), new Point(0, 0)));
        foreach ($this->masks as $entry) {
            $joined = $entry->joined($joined, $planes->numbers($entry->onPlate($frame, $this->picture)));
        }
        $joined ??= array_fill(0, $this->window->columns * $this->window->rows, 1.0);
        if (! $this->picture->opaque()) {
            foreach ($this->picture->pixels($this->level, 0, 0, $this->window->columns, $this->window->rows) as $at => $pixel) {
                $joined[$at] *= ($pixel >> 3 * $bits & $mask) / $mask;
            }
        }

        /** @var list<float> $joined changed only where it had values already */
        return $joined;
    }
}
