<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** All that was measured of a scene in the picture. */
final readonly class SceneFacts
{
    /**
     * @param  list<LightFacts>  $strips
     * @param  list<PlateFacts>  $plates  of those that are cut out
     */
    public function __construct(public array $strips = [], public array $plates = [], public ?PictureFacts $picture = null)
    {
    }

    /** @param  array<string, mixed>  $raw  as {@see toArray()} gives it */
    public static function read(array $raw): self
    {
        return new self(array_map(LightFacts::read(...), Measured::rows($raw['strips'] ?? null)), array_map(PlateFacts::read(...), Measured::rows($raw['plates'] ?? null)), is_array($raw['picture'] ?? null) ? PictureFacts::read(Measured::row($raw['picture'])) : null);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'strips' => array_map(static fn (LightFacts $facts): array => $facts->toArray(), $this->strips),
            'plates' => array_map(static fn (PlateFacts $facts): array => $facts->toArray(), $this->plates),
            'picture' => $this->picture?->toArray(),
        ];
    }
}
