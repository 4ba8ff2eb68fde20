<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/** Openings of equal size between bars of equal thickness, across and down: a window; with one across, the slats of a blind. */
final readonly class Panes implements UnitDrawing
{
    /**
     * @param  int  $across  openings
     * @param  float  $barAcross  0..1, the share of the width that all upright bars take
     * @param  float  $barDown  0..1, the share of the height that all level bars take
     */
    public function __construct(private int $across, private int $down, private float $barAcross, private float $barDown)
    {
    }

    public function prepared(): self
    {
        return $this;
    }

    public function mean(float $u, float $v, float $du, float $dv): float
    {
        return self::open($u, $du, $this->across, $this->barAcross) * self::open($v, $dv, $this->down, $this->barDown);
    }

    /** The share of a stretch that lies in openings. */
    private static function open(float $at, float $half, int $count, float $bars): float
    {
        return (self::until($at + $half, $count, $bars) - self::until($at - $half, $count, $bars)) / (2 * $half);
    }

    /**
     * How much of the way from 0 lies in openings. Between and beside n openings stand n - 1 bars: the outer ones are the frame, which
     * is not drawn.
     */
    private static function until(float $at, int $count, float $bars): float
    {
        $at = $at > 0.0 ? ($at < 1.0 ? $at : 1.0) : 0.0;
        if ($count < 2) {
            // a single opening keeps its bars at its sides
            return max(0.0, min($at, 1.0 - $bars / 2) - $bars / 2);
        }
        $pane = (1.0 - $bars) / $count;
        $pitch = $pane + $bars / ($count - 1);
        $passed = (int) ($at / $pitch);
        $rest = $at - $passed * $pitch;

        return $passed * $pane + ($rest < $pane ? $rest : $pane);
    }
}
