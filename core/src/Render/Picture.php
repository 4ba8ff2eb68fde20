<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Luma;

/** A rendered window: red, green, blue, alpha, row after row, sRGB-encoded and unpremultiplied; 16 bits are big-endian. */
final readonly class Picture
{
    /** @param  int  $clipped pixels with a channel above 1 before they were cut */
    public function __construct(public int $columns, public int $rows, public int $bits, public string $bytes, public int $clipped)
    {
    }

    /** @return list<float> encoded luma of each pixel, 0..1, of a picture of 16 bits */
    public function lumas(): array
    {
        $lumas = [];
        /** @var array<int, int> $values */
        $values = unpack('n*', $this->bytes);
        for ($at = 1, $end = count($values); $at < $end; $at += 4) {
            $lumas[] = Luma::of($values[$at] / 65535, $values[$at + 1] / 65535, $values[$at + 2] / 65535);
        }

        return $lumas;
    }

    /** @return array{list<float>, list<float>, list<float>} encoded red, green, blue of each pixel, 0..1, of a picture of 16 bits */
    public function channels(): array
    {
        $red = $green = $blue = [];
        /** @var array<int, int> $values */
        $values = unpack('n*', $this->bytes);
        for ($at = 1, $end = count($values); $at < $end; $at += 4) {
            $red[] = $values[$at] / 65535;
            $green[] = $values[$at + 1] / 65535;
            $blue[] = $values[$at + 2] / 65535;
        }

        return [$red, $green, $blue];
    }

    /** @return list<float> how much of each pixel is there, 0..1, of a picture of 16 bits */
    public function alphas(): array
    {
        $alphas = [];
        /** @var array<int, int> $values */
        $values = unpack('n*', $this->bytes);
        for ($at = 4, $end = count($values); $at <= $end; $at += 4) {
            $alphas[] = $values[$at] / 65535;
        }

        return $alphas;
    }
}
