<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** Keeps filled planes by what they are, up to a number of values; the least recently used go first. */
final class PlaneCache
{
    /** A value in a packed array of PHP. */
    private const BYTES = 16;

    /** @var array<string, list<int>|list<float>> in order of use */
    private array $planes = [];

    private int $held = 0;

    public function __construct(private readonly int $bytes = 768 * 1024 * 1024)
    {
    }

    public function holds(string $key): bool
    {
        return isset($this->planes[$key]);
    }

    /**
     * @param  callable(): (list<int>|list<float>)  $fill
     * @return list<int>|list<float>
     */
    public function get(string $key, callable $fill): array
    {
        if (isset($this->planes[$key])) {
            $plane = $this->planes[$key];
            unset($this->planes[$key]);

            return $this->planes[$key] = $plane;
        }
        $plane = $fill();
        $this->held += count($plane) * self::BYTES;
        $this->planes[$key] = $plane;
        foreach ($this->planes as $old => $oldest) {
            if ($this->held <= $this->bytes || $old === $key) {
                break;
            }
            $this->held -= count($oldest) * self::BYTES;
            unset($this->planes[$old]);
        }

        return $plane;
    }
}
