<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Plate\PictureSource;
use Closure;

/** The planes that kernels read, and what it takes to fill them: other planes, kernels, and shapes kept for long. */
final readonly class Planes
{
    /**
     * @param  Closure(Closure(\Aumbrel\Core\Kernel\KernelWriter): string, Window): list<float>  $sampling
     * @param  Closure(): void  $step  told before each plane
     */
    public function __construct(private PlaneCache $cache, private ShapeStore $shapes, private Closure $sampling, private Closure $step)
    {
    }

    /** @return list<int>|list<float> */
    public function get(Plane $plane): array
    {
        return $this->cache->get($plane->key(), function () use ($plane): array {
            ($this->step)();

            return $plane->fill($this);
        });
    }

    /**
     * A plane of numbers.
     *
     * @return list<float>
     */
    public function numbers(Plane $plane): array
    {
        /** @var list<float> */
        return $this->get($plane);
    }

    /**
     * A plane of packed pixels.
     *
     * @return list<int>
     */
    public function pixels(Plane $plane): array
    {
        /** @var list<int> */
        return $this->get($plane);
    }

    /**
     * Keeps a plane that was worked out on the way to another one.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    public function keep(Plane $plane, array $values): array
    {
        /** @var list<float> */
        return $this->cache->get($plane->key(), static fn (): array => $values);
    }

    public function holds(Plane $plane): bool
    {
        return $this->cache->holds($plane->key());
    }

    /**
     * Values of a formula in kernel text at each pixel of a window.
     *
     * @param  Closure(\Aumbrel\Core\Kernel\KernelWriter): string  $formula  gives the variable that holds the value
     * @return list<float>
     */
    public function sample(Closure $formula, Window $window): array
    {
        return ($this->sampling)($formula, $window);
    }

    /**
     * A shape that is worked out of a whole picture; kept beyond this process.
     *
     * @param  callable(): \Aumbrel\Core\CutOut\Shape  $make
     */
    public function shape(string $key, callable $make): PictureSource
    {
        return $this->shapes->get($key, $make);
    }

    /**
     * What was found out about a piece of something, as bytes; kept beyond this process.
     *
     * @param  string  $whole  names the something
     * @param  callable(): string  $make
     */
    public function found(string $whole, string $piece, callable $make): string
    {
        return $this->shapes->found($whole, $piece, $make);
    }
}
