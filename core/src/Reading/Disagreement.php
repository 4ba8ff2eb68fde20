<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** Two sights side by side: a plate, and another plate or a light. */
final readonly class Disagreement
{
    /** Degrees beyond both spreads from which on two directions disagree. */
    public const TOLERATED = 30.0;

    public float $angle;

    public function __construct(public Sight $plate, public Sight $other)
    {
        $this->angle = $plate->bearing->angleTo($other->bearing);
    }

    public function id(): string
    {
        return "direction {$this->plate->strip} {$this->other->strip}";
    }

    public function spread(): float
    {
        return $this->plate->spread + $this->other->spread;
    }

    public function isSaid(): bool
    {
        return $this->angle - $this->spread() > self::TOLERATED;
    }

    public function confidence(): float
    {
        return min($this->plate->confidence, $this->other->confidence);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['reading' => $this->id(), 'from' => $this->plate->strip, 'to' => $this->other->strip, 'angle' => round($this->angle, 1)];
    }
}
