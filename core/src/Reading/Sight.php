<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Stage\Footing;

/** A plate or a light on the compass. */
final readonly class Sight
{
    /**
     * @param  string  $strip  its id; of a source, its name among the things of the scene
     * @param  bool  $isLight  a light, whose bearing is as it was set; otherwise a plate, whose bearing was found
     * @param  float  $spread  degrees
     * @param  Footing  $from  from what a light is seen; a plate itself
     * @param  string|null  $of  the plate that a light is seen from
     * @param  string|null  $colour  a light's, as a swatch
     * @param  string|null  $by  how a plate's bearing was found
     * @param  string|null  $source  on which a light hangs
     * @param  self|null  $relitBy  the light that took the place of a plate's own
     */
    public function __construct(
        public string $strip,
        public string $name,
        public bool $isLight,
        public Bearing $bearing,
        public float $spread,
        public float $confidence,
        public Footing $from,
        public ?string $of = null,
        public ?string $colour = null,
        public ?string $by = null,
        public ?string $source = null,
        public ?self $relitBy = null,
    ) {
    }

    /** The same lit from elsewhere. */
    public function as(Bearing $bearing, float $spread, float $confidence, ?self $relitBy = null): self
    {
        return new self($this->strip, $this->name, $this->isLight, $bearing, $spread, $confidence, $this->from, $this->of, $this->colour, $this->by, $this->source, $relitBy);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'strip' => $this->strip, 'light' => $this->isLight, 'azimuth' => round($this->bearing->azimuth, 2), 'elevation' => round($this->bearing->elevation, 2),
            'heightAngle' => round($this->bearing->heightAngle(), 1), 'heading' => round($this->bearing->heading(), 1),
            'words' => $this->bearing->inWords(), 'spread' => round($this->spread, 1), 'confidence' => round($this->confidence, 2),
            'seenFrom' => $this->from->middle->toArray(), 'of' => $this->of, 'colour' => $this->colour, 'by' => $this->by,
            'source' => $this->source, 'relitBy' => $this->relitBy?->name,
        ];
    }
}
