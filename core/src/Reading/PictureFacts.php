<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** What was measured of the picture as a whole. */
final readonly class PictureFacts
{
    /**
     * @param  float  $median  encoded luma of the plates before anything is lit, 0..1
     * @param  float  $clipped  the share of the picture in which a channel is cut off at white by what the strips do
     * @param  string|null  $clippedBy  the strip that does most of it
     * @param  list<float>|null  $brightest  scene x, y and luma (0..1) of the brightest place
     * @param  list<string>  $brightestOn  the plates that are seen there
     * @param  string|null  $brightestBy  the strip that does most of it there
     */
    public function __construct(public float $median = 0.0, public float $clipped = 0.0, public ?string $clippedBy = null, public ?array $brightest = null, public array $brightestOn = [], public ?string $brightestBy = null)
    {
    }

    /** @param  array<string, mixed>  $raw  as {@see toArray()} gives it */
    public static function read(array $raw): self
    {
        $strip = static fn (mixed $name): ?string => is_string($name) ? $name : null;

        return new self(
            Measured::number($raw['median'] ?? null), Measured::number($raw['clipped'] ?? null), $strip($raw['clippedBy'] ?? null), Measured::numbers($raw['brightest'] ?? null, 3),
            array_values(array_filter(is_array($raw['brightestOn'] ?? null) ? $raw['brightestOn'] : [], is_string(...))), $strip($raw['brightestBy'] ?? null),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['median' => $this->median, 'clipped' => $this->clipped, 'clippedBy' => $this->clippedBy, 'brightest' => $this->brightest, 'brightestOn' => $this->brightestOn, 'brightestBy' => $this->brightestBy];
    }
}
