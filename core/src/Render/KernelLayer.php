<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;

/** A layer as the mixer sees it: a colour and how much of it, in the words of a kernel. */
final readonly class KernelLayer
{
    /**
     * @param  string  $cover  a number or a line of the row
     * @param  string  $rest  1 - cover
     * @param  bool  $patchy  whether the cover is a line of the row, which may be 0 in places
     * @param  array{string, string, string}  $colour  expressions of red, green, blue
     * @param  bool  $lightColour  whether the colour is linear with its largest channel 1; otherwise it is encoded
     * @param  bool  $exceeds  whether what lies below may be above 1
     * @param  bool  $recolours  it changes the colours of what is there and adds nothing where nothing is
     * @param  bool  $inLinear  in normal: mixed in linear light
     */
    public function __construct(
        public BlendMode $mode,
        public string $cover,
        public string $rest,
        public bool $patchy,
        public array $colour,
        public bool $lightColour,
        public bool $exceeds,
        public bool $recolours = false,
        public bool $inLinear = false,
    ) {
    }

    /** The branches that a kernel of this mode has for each channel; what they may lead to is compiled path by path. */
    public static function branches(BlendMode $mode): int
    {
        return match ($mode) {
            BlendMode::Normal, BlendMode::Multiply, BlendMode::Screen, BlendMode::Exclusion => 0,
            BlendMode::Overlay, BlendMode::HardLight, BlendMode::Darken, BlendMode::Lighten, BlendMode::Difference, BlendMode::Kindle => 1,
            BlendMode::Add, BlendMode::ColorDodge, BlendMode::ColorBurn, BlendMode::SoftLight => 2,
            default => 4,
        };
    }

    /** Whether the three channels can be mixed one after the other. */
    public function isSeparable(bool $opaque): bool
    {
        return ! $this->mode->readsWholeColour() && ($opaque || $this->lightColour || $this->mode !== BlendMode::Airlight);
    }
}
