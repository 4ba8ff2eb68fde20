<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Fault\Withdrawn;

/** Is told how a render goes on, and may end it because nobody waits for it any more. */
interface Watch
{
    /**
     * Before each row, and before each plane that rows read.
     *
     * @throws Withdrawn to end it
     */
    public function step(): void;

    /** A row of the picture itself is done. */
    public function row(): void;
}
