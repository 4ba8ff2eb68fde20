<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/** A convex polygon with a margin around it. */
final readonly class Outline implements Extent
{
    /** @param  list<array{float, float}>  $corners in order round it, scene pixels */
    public function __construct(private array $corners, private float $margin)
    {
    }

    public function bounds(): ?Bounds
    {
        return Bounds::round($this->corners)?->grown($this->margin);
    }

    public function grown(float $by): self
    {
        return new self($this->corners, $this->margin + $by);
    }

    public function span(float $y): ?array
    {
        [$low, $high] = [$y - $this->margin, $y + $this->margin];
        [$from, $to] = [INF, -INF];
        foreach ($this->corners as $at => [$x0, $y0]) {
            [$x1, $y1] = $this->corners[($at + 1) % count($this->corners)];
            if (max($y0, $y1) < $low || min($y0, $y1) > $high) {
                continue;
            }
            foreach ([$low, $high] as $line) {
                // the piece of this side inside the band ends on the band's border or at its own corner
                $share = $y1 == $y0 ? 0.0 : max(0.0, min(1.0, ($line - $y0) / ($y1 - $y0)));
                $x = $x0 + $share * ($x1 - $x0);
                [$from, $to] = [min($from, $x), max($to, $x)];
            }
            if ($y1 == $y0) {
                [$from, $to] = [min($from, $x1), max($to, $x1)];
            }
        }

        return $from > $to ? null : [$from - $this->margin, $to + $this->margin];
    }
}
