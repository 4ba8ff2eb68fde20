<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

/** How a plate's form is made: of its outline, of its own tones and shading, or of a picture of its normals. */
final readonly class Form
{
    /**
     * @param  float  $roundness  0 is flat, 1 the sphere over a circle, up to 2
     * @param  float  $detail  -1..1, how far its tones stand out; below 0 dark ones do
     * @param  float|null  $detailSize  how large that is, px of its picture; null for a share of its size
     * @param  string|null  $normals  the plain name of the picture of its normals
     * @param  bool|null  $upward  whether green grows upward in that; null for as it seems
     * @param  string|null  $occlusion  the plain name of the picture of how open it is to the sky
     * @param  float|null  $deep  how many pixels of its picture its depth reaches from the nearest to the furthest; null where depth does not form it
     * @param  bool  $bends  whether it is bent by its own shading, where it is known where its light comes from
     * @param  float|null  $ambient  how much of that light has no direction, 0..1; null for what is read off it
     */
    public function __construct(
        public float $roundness = 1.0,
        public float $detail = 0.0,
        public ?float $detailSize = null,
        public ?string $normals = null,
        public ?bool $upward = null,
        public ?string $occlusion = null,
        public ?float $deep = null,
        public bool $bends = true,
        public ?float $ambient = null,
    ) {
    }

    /** Whether pictures tell it, and not only its outline. */
    public function isGiven(): bool
    {
        return $this->normals !== null || $this->deep !== null;
    }

    public function key(): string
    {
        return implode(' ', [$this->roundness, $this->detail, $this->detailSize ?? 'own', $this->normals ?? '', json_encode([$this->upward, $this->deep])]);
    }
}
