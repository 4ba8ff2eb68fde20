<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Picture\Pixels;

/** What a plate's own light is read off: of each pixel that is wholly there how bright and of what colour it is, and which way it faces. */
final readonly class LitSurface
{
    /** What is covered less is not read. */
    private const WHOLE = 0.98;

    /** Added to every channel: the noise of the darkest tones is no colour. Linear. */
    private const DARKEST = 0.0005;

    /** From this linear value on, 253 of 255, a channel may have been cut off. */
    private const CUT_OFF = 0.98;

    /**
     * @param  list<int>  $places  which pixels, row after row
     * @param  list<float>  $bright  log of the linear luminance
     * @param  list<float>  $reds  log of red over green, linear
     * @param  list<float>  $blues  log of blue over green, linear
     * @param  float  $clipped  the share of them of which a channel is cut off
     */
    private function __construct(public int $columns, public int $rows, public array $places, public array $bright, public array $reds, public array $blues, public float $clipped)
    {
    }

    public static function of(Pixels $pixels, int $columns, int $rows): self
    {
        [$red, $green, $blue] = $pixels->linear();
        $places = $bright = $reds = $blues = [];
        $clipped = 0;
        foreach ($pixels->alpha() as $at => $alpha) {
            if ($alpha <= self::WHOLE) {
                continue;
            }
            [$r, $g, $b] = [$red[$at] + self::DARKEST, $green[$at] + self::DARKEST, $blue[$at] + self::DARKEST];
            $places[] = $at;
            $bright[] = log(Luma::of($r, $g, $b));
            $reds[] = log($r / $g);
            $blues[] = log($b / $g);
            $clipped += max($red[$at], $green[$at], $blue[$at]) >= self::CUT_OFF ? 1 : 0;
        }

        return new self($columns, $rows, $places, $bright, $reds, $blues, $places === [] ? 0.0 : $clipped / count($places));
    }

    /** Every so many-th of them, so that there are no more than that. */
    public function thinned(int $most): self
    {
        $step = (int) ceil(count($this->places) / $most);
        if ($step <= 1) {
            return $this;
        }
        $places = $bright = $reds = $blues = [];
        for ($at = 0, $end = count($this->places); $at < $end; $at += $step) {
            $places[] = $this->places[$at];
            $bright[] = $this->bright[$at];
            $reds[] = $this->reds[$at];
            $blues[] = $this->blues[$at];
        }

        return new self($this->columns, $this->rows, $places, $bright, $reds, $blues, $this->clipped);
    }
}
