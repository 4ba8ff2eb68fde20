<?php

declare(strict_types=1);

namespace Aumbrel\Core\Fault;

use RuntimeException;

/** Nobody waits for the picture any more, so it is not rendered to its end. */
final class Withdrawn extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('nobody waits for this picture any more');
    }
}
