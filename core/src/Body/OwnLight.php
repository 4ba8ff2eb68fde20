<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Color\Rgb;

/**
 * The light that a plate brings along, as its body answers it: of each channel `s = a T + (1 - a) f`, f = max(0, n.l), a the
 * ambient share, T the ambient light's colour against that of the key, its green 1.
 */
final readonly class OwnLight
{
    /** What a plate's own light explains less of than this was not read from it. */
    public const READABLE = 0.2;

    public const NUMBERS = 7;

    /**
     * @param  float  $ambient  a, 0.02..0.98
     * @param  float  $red  of T
     * @param  float  $blue  of T
     * @param  float  $mean  the mean luminance of s, weighted by the plate's own
     * @param  float  $explained  0..1, how much of the spread of its tones this light explains
     * @param  float  $clipped  the share of it that is cut off at white
     * @param  float  $bent  0..1, how far its normals were bent by its shading
     */
    public function __construct(public float $ambient, public float $red, public float $blue, public float $mean, public float $explained, public float $clipped, public float $bent)
    {
    }

    /** Whether the body fits the light at all. */
    public function isRead(): bool
    {
        return $this->explained >= self::READABLE;
    }

    /** The colour of a key light that takes the place of the old one over the evened plate: 1/T, its largest channel 1. Linear. */
    public function keyColour(): Rgb
    {
        return (new Rgb(1 / $this->red, 1.0, 1 / $this->blue))->normalised();
    }

    /** The level of that, stops: with it, from where the old light came, the plate is what it was. */
    public function keyLevel(): float
    {
        return log((1 - $this->ambient) / $this->ambient * max(1 / $this->red, 1.0, 1 / $this->blue), 2);
    }

    /** @return list<float> NUMBERS of them */
    public function toNumbers(): array
    {
        return [$this->ambient, $this->red, $this->blue, $this->mean, $this->explained, $this->clipped, $this->bent];
    }

    /** @param  list<float>  $numbers */
    public static function ofNumbers(array $numbers): self
    {
        return new self(...array_slice($numbers, 0, self::NUMBERS));
    }
}
