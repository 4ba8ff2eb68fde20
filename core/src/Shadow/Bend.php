<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Point;

/**
 * How a shadow is bent: where it was dragged to it shows what lay where it was dragged from, before and behind that less and less,
 * and at the feet nothing moves.
 */
final readonly class Bend
{
    /** How far a drag reaches, of its distance from the feet; and at least, of its own length, so that nothing folds over. */
    private const REACH = 0.35;

    private const LEAST = 0.8;

    /** Up to this share of a drag's distance from the feet nothing moves; from the second on it moves wholly. */
    private const HELD = [0.1, 0.6];

    /**
     * @param  non-empty-list<array{Point, Point}>  $drags  from where to where, scene pixels
     * @param  Point  $foot  what stays
     */
    public function __construct(private array $drags, private Point $foot)
    {
    }

    /** How far anything is moved at most, px. */
    public function furthest(): float
    {
        return max(array_map(static fn (array $drag): float => $drag[0]->distanceTo($drag[1]), $this->drags));
    }

    /**
     * What is shown at a place: so far off.
     *
     * @return array{float, float}
     */
    public function at(float $x, float $y): array
    {
        [$dx, $dy, $sum] = [0.0, 0.0, 0.0];
        foreach ($this->drags as [$from, $to]) {
            $distance = max(1.0, $to->distanceTo($this->foot));
            // how far along the shadow: across it everything is moved alike
            $along = (($x - $this->foot->x) * ($to->x - $this->foot->x) + ($y - $this->foot->y) * ($to->y - $this->foot->y)) / $distance;
            $reach = max(self::REACH * $distance, self::LEAST * $from->distanceTo($to), 1.0);
            $held = max(0.0, min(1.0, ($along / $distance - self::HELD[0]) / (self::HELD[1] - self::HELD[0])));
            $weight = exp(-($along - $distance) ** 2 / (2 * $reach * $reach)) * $held * $held * (3 - 2 * $held);
            [$dx, $dy, $sum] = [$dx + $weight * ($from->x - $to->x), $dy + $weight * ($from->y - $to->y), $sum + $weight];
        }

        return $sum > 1 ? [$dx / $sum, $dy / $sum] : [$dx, $dy];
    }

    public function key(): string
    {
        return 'bent '.json_encode([$this->drags, $this->foot], JSON_THROW_ON_ERROR);
    }
}
