<?php

declare(strict_types=1);

namespace App\CommandLine;

use RuntimeException;

/** Bad input to a command: one line that names the file or the field and what was expected. */
final class Problem extends RuntimeException
{
}
