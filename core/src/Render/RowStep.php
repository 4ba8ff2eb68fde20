<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** A step of a plan, ready to run on rows. */
interface RowStep
{
    /**
     * @param  array<string, mixed>  $lines
     * @param  float  $y  of the row's pixel centres, scene pixels
     * @param  int  $from  the column where it begins
     * @param  int  $to  the column before which it ends
     */
    public function run(array &$lines, int $row, float $y, int $from, int $to): void;

    /** Whether it works something out in this run that is to be kept. */
    public function lacksKept(): bool;

    /** Hands on what was worked out, for the next run. */
    public function handOn(KeptRows $covers): void;
}
