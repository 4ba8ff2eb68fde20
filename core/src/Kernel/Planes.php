<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Shape;
use Closure;

/** The planes that kernels read, and what it takes to fill them: other planes, kernels, and shapes kept for long. */
interface Planes
{
    /** @return list<int>|list<float> */
    public function get(Plane $plane): array;

    /**
     * A plane of numbers.
     *
     * @return list<float>
     */
    public function numbers(Plane $plane): array;

    /**
     * A plane of packed pixels.
     *
     * @return list<int>
     */
    public function pixels(Plane $plane): array;

    /**
     * Keeps a plane that was worked out on the way to another one.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    public function keep(Plane $plane, array $values): array;

    public function holds(Plane $plane): bool;

    /**
     * Values of a formula in kernel text at each pixel of a window.
     *
     * @param  Closure(KernelWriter): string  $formula  gives the variable that holds the value
     * @return list<float>
     */
    public function sample(Closure $formula, Window $window): array;

    /**
     * A shape that is worked out of a whole picture; kept beyond this process.
     *
     * @param  callable(): Shape  $make
     */
    public function shape(string $key, callable $make): PictureSource;

    /**
     * What was found out about a piece of something, as bytes; kept beyond this process.
     *
     * @param  string  $whole  names the something
     * @param  callable(): string  $make
     */
    public function found(string $whole, string $piece, callable $make): string;
}
