<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** What is done to each row of a window, in order, and which lines of the row are the result. */
final readonly class Plan
{
    /**
     * @param  list<PlanStep>  $passes
     * @param  list<string>  $results
     * @param  int  $checkpoint  the number of passes that make the picture below the strip that is being changed; 0 for none
     */
    public function __construct(public array $passes, public array $results, public int $checkpoint = 0)
    {
    }

    /** Names all that the passes before the checkpoint depend on. */
    public function checkpointKey(): string
    {
        $keys = array_map(static fn (PlanStep $step): string => $step->key(), array_slice($this->passes, 0, $this->checkpoint));

        return hash('xxh128', serialize($keys));
    }
}
