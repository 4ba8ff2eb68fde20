<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Strip;

/** What is known of a scene's pictures without reading them. */
final readonly class Pictures implements Measures
{
    /**
     * @param  array<string, array{0: int, 1: int, 2?: bool}>  $known  width, height, and whether it is opaque, by name
     * @param  array<array-key, Bounds|null>  $boxes  of the plates that are cut out, by their ids: where in their pictures something is
     */
    public function __construct(private array $known, private array $boxes = [])
    {
    }

    public function size(string $name): ?array
    {
        return isset($this->known[$name]) ? [$this->known[$name][0], $this->known[$name][1]] : null;
    }

    /** Where nothing was measured, the whole picture. */
    public function box(Strip $plate): ?Bounds
    {
        if (array_key_exists($plate->id, $this->boxes)) {
            return $this->boxes[$plate->id];
        }
        $size = $plate->kind instanceof Pictured ? $this->size($plate->kind->picture()) : null;

        return $size === null ? null : new Bounds(0.0, 0.0, $size[0], $size[1]);
    }

    /** What is not known may be cut out. */
    public function isCutOut(Strip $plate): bool
    {
        return $plate->kind instanceof Pictured && ($plate->cutOut() !== [] || ! ($this->known[$plate->kind->picture()][2] ?? false));
    }
}
