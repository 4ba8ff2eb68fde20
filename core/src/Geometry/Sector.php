<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/** A piece of a disc between two sides that meet in its middle; a whole disc, or a wedge without end, where one of them is wanting. */
final readonly class Sector implements Extent
{
    private const HALF_TURN = 180.0;

    private float $cos;

    private float $sin;

    /**
     * @param  float  $axis  where it opens to, degrees, clockwise from the right
     * @param  float  $halfAngle  degrees from the axis to a side; from 90 on there are no sides
     * @param  float|null  $radius  scene pixels; null without end
     * @param  float  $margin  so much further on every side, scene pixels
     */
    public function __construct(private Point $middle, private float $axis, private float $halfAngle, private ?float $radius, private float $margin = 0.0)
    {
        $this->cos = cos(deg2rad($halfAngle));
        $this->sin = sin(deg2rad($halfAngle));
    }

    /** Where the disc and the wedge meet a level line. */
    public function span(float $y): ?array
    {
        [$from, $to] = [-INF, INF];
        $down = $y - $this->middle->y;
        if ($this->radius !== null) {
            $ends = $this->radius + $this->margin;
            if (abs($down) >= $ends) {
                return null;
            }
            $to = sqrt($ends * $ends - $down * $down);
            $from = -$to;
        }
        if ($this->halfAngle < 90) {
            [$ax, $ay] = [cos(deg2rad($this->axis)), sin(deg2rad($this->axis))];
            // on the inner side of both sides of the wedge: slope x across + height >= 0
            foreach ([[$ax * $this->sin - $ay * $this->cos, $ax * $this->cos + $ay * $this->sin], [$ax * $this->sin + $ay * $this->cos, $ay * $this->sin - $ax * $this->cos]] as [$slope, $height]) {
                $inside = $height * $down + $this->margin;
                if (abs($slope) < 1e-12) {
                    if ($inside < 0) {
                        return null;
                    }
                } elseif ($slope > 0) {
                    $from = max($from, -$inside / $slope);
                } else {
                    $to = min($to, -$inside / $slope);
                }
            }
        }

        return $from > $to ? null : [$this->middle->x + $from, $this->middle->x + $to];
    }

    public function bounds(): ?Bounds
    {
        if ($this->radius === null) {
            return null;
        }
        $isDisc = $this->halfAngle >= 90;
        $ends = [];
        foreach ([0.0, 90.0, 180.0, 270.0] as $level) {
            $apart = abs(fmod($level - $this->axis + 5 * self::HALF_TURN, 2 * self::HALF_TURN) - self::HALF_TURN);
            if ($isDisc || $apart <= $this->halfAngle) {
                $ends[] = $level;
            }
        }
        if (! $isDisc) {
            $ends = [...$ends, $this->axis - $this->halfAngle, $this->axis + $this->halfAngle];
        }
        $places = array_map(fn (float $angle): array => [$this->middle->x + $this->radius * cos(deg2rad($angle)), $this->middle->y + $this->radius * sin(deg2rad($angle))], $ends);

        return Bounds::round([$this->middle->toArray(), ...$places])?->grown($this->margin);
    }

    public function grown(float $by): self
    {
        return new self($this->middle, $this->axis, $this->halfAngle, $this->radius, $this->margin + $by);
    }
}
