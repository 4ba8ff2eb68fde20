<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\CleanBlock;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\Blocks;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Seen\PictureAtSize;
use Generator;

/**
 * The cleaned edges of a scene's plates as the picture at full size needs them, worked out before anybody asks: the view looks
 * at halvings, so the first export would have to do it.
 */
final readonly class EdgesAhead
{
    public function __construct(private Renderer $renderer)
    {
    }

    /** @return Generator<int, string> the plate's id, before each block of its picture; one that is known already costs a look */
    public function of(Scene $scene): Generator
    {
        $whole = Window::whole($scene->width, $scene->height);
        $sites = $this->renderer->sites($scene, $whole);
        foreach ($scene->everyStrip() as $strip) {
            $outline = $strip->muted ? null : $sites->outline($strip->id);
            if ($outline !== null && $outline->edge->cleans()) {
                foreach ($this->blocks($outline, (new PictureAtSize($outline->picture, $outline->placement, $whole))->level) as $block) {
                    yield $strip->id;
                    $block->find($this->renderer->planes);
                }
            }
        }
    }

    /** @return Generator<int, CleanBlock> */
    private function blocks(PlateOutline $outline, int $level): Generator
    {
        $halving = new Halving($outline->picture->width(), $outline->picture->height(), $level);
        for ($row = 0; $row * Blocks::SIDE < $halving->rows; $row++) {
            for ($column = 0; $column * Blocks::SIDE < $halving->columns; $column++) {
                yield new CleanBlock($outline->picture, $outline->masks, $outline->edge, $level, $column, $row);
            }
        }
    }
}
