<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A light from somewhere that the whole form of its plate answers: where the plate's own light was taken down, it takes its place. */
interface Shapely extends Directed
{
}
