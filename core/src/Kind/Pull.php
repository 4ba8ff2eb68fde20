<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Vector;

/** What follows from dragging a handle that only the core can follow: values of the strip, or where its light must stand. */
final readonly class Pull
{
    /**
     * @param  array<string, mixed>  $values
     * @param  Vector|null  $through  a place in the camera's space through which the light must come, when it hangs on a source
     * @param  Vector|null  $toward  the way from there to the light, of length 1
     */
    public function __construct(public array $values, public ?Vector $through = null, public ?Vector $toward = null)
    {
    }
}
