<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** A rendered window: red, green, blue, alpha, row after row, sRGB-encoded and unpremultiplied; 16 bits are big-endian. */
final readonly class Picture
{
    private const WHITE = 65535;

    /** @param  int  $clipped pixels with a channel above 1 before they were cut */
    public function __construct(public int $columns, public int $rows, public int $bits, public string $bytes, public int $clipped)
    {
    }

    /** @return list<float> the largest channel of each pixel, 0..1, of a picture of 16 bits */
    public function largest(): array
    {
        $largest = [];
        /** @var array<int, int> $pixels a number a pixel takes a third of the time of four */
        $pixels = unpack('J*', $this->bytes);
        foreach ($pixels as $pixel) {
            [$red, $green, $blue] = [$pixel >> 48 & self::WHITE, $pixel >> 32 & self::WHITE, $pixel >> 16 & self::WHITE];
            $most = $red > $green ? $red : $green;
            $largest[] = ($most > $blue ? $most : $blue) / self::WHITE;
        }

        return $largest;
    }
}
