<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\ShapeStore;
use Closure;

/** Planes as they are filled when they are asked for, and kept. */
final readonly class FilledPlanes implements Planes
{
    /**
     * @param  Closure(Closure(KernelWriter): string, Window): list<float>  $sampling
     * @param  Closure(): void  $step  told before each plane
     */
    public function __construct(private PlaneCache $cache, private ShapeStore $shapes, private Closure $sampling, private Closure $step)
    {
    }

    public function get(Plane $plane): array
    {
        return $this->cache->get($plane->key(), function () use ($plane): array {
            ($this->step)();

            return $plane->fill($this);
        });
    }

    public function numbers(Plane $plane): array
    {
        /** @var list<float> */
        return $this->get($plane);
    }

    public function pixels(Plane $plane): array
    {
        /** @var list<int> */
        return $this->get($plane);
    }

    public function keep(Plane $plane, array $values): array
    {
        /** @var list<float> */
        return $this->cache->get($plane->key(), static fn (): array => $values);
    }

    public function holds(Plane $plane): bool
    {
        return $this->cache->holds($plane->key());
    }

    public function sample(Closure $formula, Window $window): array
    {
        return ($this->sampling)($formula, $window);
    }

    public function shape(string $key, callable $make): PictureSource
    {
        return $this->shapes->get($key, $make);
    }

    public function found(string $whole, string $piece, callable $make): string
    {
        return $this->shapes->found($whole, $piece, $make);
    }
}
