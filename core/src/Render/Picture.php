<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Luma;

/** A rendered window: red, green, blue, alpha, row after row, sRGB-encoded and unpremultiplied; 16 bits are big-endian. */
final readonly class Picture
{
    private const WHITE = 65535;

    /** @param  int  $clipped pixels with a channel above 1 before they were cut */
    public function __construct(public int $columns, public int $rows, public int $bits, public string $bytes, public int $clipped)
    {
    }

    /** @return list<float> encoded luma of each pixel, 0..1, of a picture of 16 bits */
    public function lumas(): array
    {
        $lumas = [];
        foreach ($this->pixels() as $pixel) {
            $lumas[] = Luma::of(($pixel >> 48 & self::WHITE) / self::WHITE, ($pixel >> 32 & self::WHITE) / self::WHITE, ($pixel >> 16 & self::WHITE) / self::WHITE);
        }

        return $lumas;
    }

    /** @return array{list<float>, list<float>, list<float>} encoded red, green, blue of each pixel, 0..1, of a picture of 16 bits */
    public function channels(): array
    {
        $red = $green = $blue = [];
        foreach ($this->pixels() as $pixel) {
            $red[] = ($pixel >> 48 & self::WHITE) / self::WHITE;
            $green[] = ($pixel >> 32 & self::WHITE) / self::WHITE;
            $blue[] = ($pixel >> 16 & self::WHITE) / self::WHITE;
        }

        return [$red, $green, $blue];
    }

    /** @return list<float> the largest channel of each pixel, 0..1, of a picture of 16 bits */
    public function largest(): array
    {
        $largest = [];
        foreach ($this->pixels() as $pixel) {
            [$red, $green, $blue] = [$pixel >> 48 & self::WHITE, $pixel >> 32 & self::WHITE, $pixel >> 16 & self::WHITE];
            $most = $red > $green ? $red : $green;
            $largest[] = ($most > $blue ? $most : $blue) / self::WHITE;
        }

        return $largest;
    }

    /** @return array<int, true> the pixels of a picture of 16 bits that are there and of which a channel is cut off */
    public function cutOff(): array
    {
        $cut = [];
        foreach ($this->pixels() as $at => $pixel) {
            if (($pixel & self::WHITE) > 0 && (($pixel >> 48 & self::WHITE) === self::WHITE || ($pixel >> 32 & self::WHITE) === self::WHITE || ($pixel >> 16 & self::WHITE) === self::WHITE)) {
                $cut[$at - 1] = true;
            }
        }

        return $cut;
    }

    /** @return list<float> how much of each pixel is there, 0..1, of a picture of 16 bits */
    public function alphas(): array
    {
        $alphas = [];
        foreach ($this->pixels() as $pixel) {
            $alphas[] = ($pixel & self::WHITE) / self::WHITE;
        }

        return $alphas;
    }

    /**
     * A number a pixel takes a third of the time of four.
     *
     * @return array<int, int> counted from 1: red in the highest 16 bits, then green, blue, alpha
     */
    private function pixels(): array
    {
        /** @var array<int, int> */
        return unpack('J*', $this->bytes);
    }
}
