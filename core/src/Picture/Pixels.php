<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

use Aumbrel\Core\Color\Srgb;

/** Packed pixels `A R G B`, row after row, and what is in them; nothing (0) outside of a picture. */
final readonly class Pixels
{
    /**
     * @param  list<int>  $packed
     * @param  int  $bits  8 or 16 a channel
     */
    public function __construct(public array $packed, public int $bits)
    {
    }

    /** @return list<float> 0..1 */
    public function alpha(): array
    {
        $alpha = [];
        if ($this->bits === 16) {
            foreach ($this->packed as $pixel) {
                $alpha[] = ($pixel >> 48 & 65535) * (1 / 65535);
            }
        } else {
            foreach ($this->packed as $pixel) {
                $alpha[] = ($pixel >> 24 & 255) * (1 / 255);
            }
        }

        return $alpha;
    }

    /** @return array{list<float>, list<float>, list<float>} red, green, blue 0..1 */
    public function channels(): array
    {
        return $this->channelsOf($this->packed);
    }

    /**
     * @param  list<int>  $places
     * @return array{list<float>, list<float>, list<float>} red, green, blue 0..1 of some pixels
     */
    public function channelsAt(array $places): array
    {
        $pixels = [];
        foreach ($places as $at) {
            $pixels[] = $this->packed[$at];
        }

        return $this->channelsOf($pixels);
    }

    /**
     * @param  list<float>  $alpha
     * @return list<int> these pixels with another alpha, at 16 bits a channel
     */
    public function with(array $alpha): array
    {
        $packed = [];
        if ($this->bits === 16) {
            foreach ($this->packed as $at => $pixel) {
                $packed[] = (int) ($alpha[$at] * 65535.0 + 0.5) << 48 | ($pixel & 0xFFFFFFFFFFFF);
            }
        } else {
            foreach ($this->packed as $at => $pixel) {
                $packed[] = (int) ($alpha[$at] * 65535.0 + 0.5) << 48 | ($pixel >> 16 & 255) * 257 << 32 | ($pixel >> 8 & 255) * 257 << 16 | ($pixel & 255) * 257;
            }
        }

        return $packed;
    }

    /** @return array{list<float>, list<float>, list<float>} red, green, blue of linear light 0..1, to 8 bits of the encoded values */
    public function linear(): array
    {
        $linear = Srgb::bytesDecoded();
        [$wide, $narrow, $last] = $this->bits === 16 ? [40, 24, 8] : [16, 8, 0];
        $red = $green = $blue = [];
        foreach ($this->packed as $pixel) {
            $red[] = $linear[$pixel >> $wide & 255];
            $green[] = $linear[$pixel >> $narrow & 255];
            $blue[] = $linear[$pixel >> $last & 255];
        }

        return [$red, $green, $blue];
    }

    /** Whether one is more than half there. */
    public function isThere(int $at): bool
    {
        return ($this->packed[$at] >> (4 * $this->bits - 1) & 1) === 1;
    }

    /**
     * @param  list<int>  $pixels
     * @return array{list<float>, list<float>, list<float>}
     */
    private function channelsOf(array $pixels): array
    {
        [$wide, $narrow, $mask] = $this->bits === 16 ? [32, 16, 65535] : [16, 8, 255];
        $unit = 1 / $mask;
        $red = $green = $blue = [];
        foreach ($pixels as $pixel) {
            $red[] = ($pixel >> $wide & $mask) * $unit;
            $green[] = ($pixel >> $narrow & $mask) * $unit;
            $blue[] = ($pixel & $mask) * $unit;
        }

        return [$red, $green, $blue];
    }
}
