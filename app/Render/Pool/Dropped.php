<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** A request that was not rendered because a newer one for the same view had come in. */
final readonly class Dropped
{
}
