<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** What was measured of one plate that is cut out, and of what lies around it. Lengths are scene pixels. */
final readonly class PlateFacts
{
    /**
     * @param  string  $strip  its id
     * @param  list<float>|null  $own  the mean of its colours in the finished picture, Oklab
     * @param  list<float>|null  $around  that of what lies around it
     * @param  float  $modelling  stops from its dark to its bright parts, before anything is lit
     * @param  float  $brightest  luma of its brightest place in the finished picture, 0..1
     * @param  list<float>|null  $grain  sigma, size and tone of its grain; null where nothing of it is flat
     * @param  list<float>|null  $grainAround  the same of what lies around it
     * @param  float  $fringe  the share of its outline that has a rim of another colour than what lies inside
     * @param  float  $fringeBy  how much brighter that rim is, luma
     * @param  bool  $isWide  whether that rim reaches into what is wholly covered
     * @param  float|null  $edge  how wide its outline is, from dark to bright; null where it does not stand out
     * @param  float|null  $edgesAround  the same of the sharpest edges around it
     */
    public function __construct(
        public string $strip,
        public ?array $own = null,
        public ?array $around = null,
        public float $modelling = 0.0,
        public float $brightest = 0.0,
        public ?array $grain = null,
        public ?array $grainAround = null,
        public float $fringe = 0.0,
        public float $fringeBy = 0.0,
        public bool $isWide = false,
        public ?float $edge = null,
        public ?float $edgesAround = null,
    ) {
    }

    /** @param  array<string, mixed>  $raw  as {@see toArray()} gives it */
    public static function read(array $raw): self
    {
        $number = static fn (string $name): float => Measured::number($raw[$name] ?? null);
        $three = static fn (string $name): ?array => Measured::numbers($raw[$name] ?? null, 3);
        $length = static fn (string $name): ?float => isset($raw[$name]) ? Measured::number($raw[$name]) : null;

        return new self(
            is_string($raw['strip'] ?? null) ? $raw['strip'] : '', $three('own'), $three('around'), $number('modelling'), $number('brightest'),
            $three('grain'), $three('grainAround'), $number('fringe'), $number('fringeBy'), ($raw['isWide'] ?? false) === true, $length('edge'), $length('edgesAround'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['strip' => $this->strip, 'own' => $this->own, 'around' => $this->around, 'modelling' => $this->modelling, 'brightest' => $this->brightest, 'grain' => $this->grain, 'grainAround' => $this->grainAround, 'fringe' => $this->fringe, 'fringeBy' => $this->fringeBy, 'isWide' => $this->isWide, 'edge' => $this->edge, 'edgesAround' => $this->edgesAround];
    }
}
