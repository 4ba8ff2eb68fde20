<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

/** What cleaning an edge comes to. */
final readonly class CleanEdge
{
    /**
     * @param  list<float>  $alpha  row after row
     * @param  array<int, int>  $colours  those that it changes, packed `R<<32 | G<<16 | B`, by pixel
     */
    public function __construct(public array $alpha, public array $colours)
    {
    }
}
