<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Kernel\KernelWriter;

/** How far away each pixel of a plate is, as a render brought it: a picture whose tones lie between the nearest and the furthest. */
final readonly class DepthPass
{
    /**
     * @param  string  $picture  its plain name
     * @param  float  $near  distance of what is nearest in it, in distances of the scene's contact row
     * @param  float  $far  of what is furthest
     * @param  bool  $nearIsWhite  otherwise near is black
     * @param  bool  $holdsInverse  whether it holds 1 / distance
     */
    public function __construct(public string $picture, private float $near, private float $far, private bool $nearIsWhite = true, private bool $holdsInverse = false)
    {
    }

    /**
     * The distance of a tone.
     *
     * @param  float  $tone  0..1
     */
    public function distance(float $tone): float
    {
        $share = $this->nearIsWhite ? 1 - $tone : $tone;

        return $this->holdsInverse ? 1 / (1 / $this->near + (1 / $this->far - 1 / $this->near) * $share) : $this->near + ($this->far - $this->near) * $share;
    }

    /** Writes the distance of the current pixel into a variable. */
    public function write(KernelWriter $kernel, SeenPlate $pass, string $distance): void
    {
        [$tone] = PlateWords::colour($kernel, $pass);
        [$first, $last] = $this->holdsInverse ? [1 / $this->near, 1 / $this->far] : [$this->near, $this->far];
        [$black, $rise] = $this->nearIsWhite ? [$last, $first - $last] : [$first, $last - $first];
        $kernel->line("{$distance} = {$kernel->number($black)} + {$kernel->number($rise)} * {$tone};");
        if ($this->holdsInverse) {
            $kernel->line("{$distance} = 1.0 / {$distance};");
        }
    }
}
