<?php

declare(strict_types=1);

namespace Aumbrel\Core\Fault;

use RuntimeException;

/** The packed rows of a picture are not where they were put, or end too early. */
final class PictureLost extends RuntimeException
{
    public function __construct(public readonly string $folder)
    {
        parent::__construct("the packed picture in {$folder} is missing or damaged");
    }
}
