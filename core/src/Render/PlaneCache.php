<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** Keeps filled planes by what they are. */
final readonly class PlaneCache
{
    public function __construct(private Memory $memory = new Memory)
    {
    }

    public function holds(string $key): bool
    {
        return $this->memory->holds("plane {$key}");
    }

    /**
     * @param  callable(): (list<int>|list<float>)  $fill
     * @return list<int>|list<float>
     */
    public function get(string $key, callable $fill): array
    {
        /** @var list<int>|list<float>|null $plane */
        $plane = $this->memory->get("plane {$key}");
        if ($plane === null) {
            $plane = $fill();
            $this->memory->put("plane {$key}", $plane);
        }

        return $plane;
    }
}
