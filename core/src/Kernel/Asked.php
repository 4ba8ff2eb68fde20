<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/** What is asked while something is worked out, and is no part of what names it. */
interface Asked
{
}
