<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** What is done to each row of a window, in order, and which lines of the row are the result. */
final readonly class Plan
{
    /**
     * @param  list<Pass|Keep>  $passes
     * @param  list<string>  $results
     */
    public function __construct(public array $passes, public array $results) {}
}
