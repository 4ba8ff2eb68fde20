<?php

declare(strict_types=1);

namespace App\Render;

use RuntimeException;

/** A scene names strokes that this process does not hold; they are to be sent along. */
final class StrokesMissing extends RuntimeException
{
    /** @param  list<string>  $keys */
    public function __construct(public readonly array $keys)
    {
        parent::__construct(count($keys).' strokes are not held');
    }
}
