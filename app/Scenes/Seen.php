<?php

declare(strict_types=1);

namespace App\Scenes;

/** What a gesture goes by: the revisions of strips, and of the order, as they were seen when the hand made it. */
final readonly class Seen
{
    /** @param  array<array-key, int>  $strips  revisions by strip; ids of digits are integers here, as PHP has it */
    public function __construct(public array $strips = [], public ?int $order = null)
    {
    }

    public static function strip(string $id, ?int $revision): self
    {
        return new self($revision === null ? [] : [$id => $revision]);
    }
}
