<?php

declare(strict_types=1);

namespace App\Scenes;

/**
 * The name that a request gives its gesture (the header `Idempotency-Key`). A gesture that was written and whose answer
 * was lost on the way comes again under the same name, and is not written twice.
 */
final class GestureKey
{
    public const HEADER = 'Idempotency-Key';

    public ?string $key = null;
}
