<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

/** What is known of a scene's pictures without reading them. */
final readonly class Pictures
{
    /** @param  array<string, array{0: int, 1: int, 2?: bool}>  $known  width, height, and whether it is opaque, by name */
    public function __construct(private array $known)
    {
    }

    /** @return array{int, int}|null */
    public function size(string $name): ?array
    {
        return isset($this->known[$name]) ? [$this->known[$name][0], $this->known[$name][1]] : null;
    }

    /** What is not known may be cut out. */
    public function isOpaque(string $name): bool
    {
        return $this->known[$name][2] ?? false;
    }
}
