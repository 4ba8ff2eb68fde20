<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;

/** A strip as the mixer sees it: a colour and how much of it, in the words of a kernel. */
final readonly class Layer
{
    /**
     * @param  string  $cover  a number or a line of the row
     * @param  bool  $patchy  whether the cover is a line of the row, which may be 0 in places
     * @param  array{string, string, string}  $colour  expressions of red, green, blue
     * @param  bool  $lightColour  whether the colour is linear with its largest channel 1; otherwise it is encoded
     * @param  bool  $exceeds  whether what lies below may be above 1
     */
    public function __construct(
        public BlendMode $mode,
        public string $cover,
        public bool $patchy,
        public array $colour,
        public bool $lightColour,
        public bool $exceeds,
    ) {
    }

    /** Whether the three channels can be mixed one after the other. */
    public function isSeparable(bool $opaque): bool
    {
        return ! $this->mode->readsWholeColour() && ($opaque || $this->lightColour || $this->mode !== BlendMode::Airlight);
    }
}
