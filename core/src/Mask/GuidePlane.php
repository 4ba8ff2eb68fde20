<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Guide;

/** The colours of a guide in Oklab: lightness, or one of the two others. */
final readonly class GuidePlane implements Plane
{
    use KeyOfAll;

    /** @param  0|1|2  $channel */
    public function __construct(private Guide $guide, private Window $window, private int $channel)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $linear = Srgb::bytesDecoded();
        $lightness = $first = $second = [];
        // what is even is worked out once
        [$last, $colour] = [-1, [0.0, 0.0, 0.0]];
        foreach ($this->guide->pixels($this->window) as $pixel) {
            if ($pixel !== $last) {
                $colour = Oklab::ofLinear($linear[$pixel & 255], $linear[$pixel >> 8 & 255], $linear[$pixel >> 16 & 255]);
                $last = $pixel;
            }
            $lightness[] = $colour[0];
            $first[] = $colour[1];
            $second[] = $colour[2];
        }
        $channels = [$lightness, $first, $second];
        // all three are wanted
        foreach ([0, 1, 2] as $channel) {
            if ($channel !== $this->channel) {
                $planes->keep(new self($this->guide, $this->window, $channel), $channels[$channel]);
            }
        }

        return $channels[$this->channel];
    }
}
