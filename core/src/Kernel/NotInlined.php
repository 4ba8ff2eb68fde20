<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

use LogicException;

/** A formula is written in a way that cannot be copied into a kernel; says where, and what it is. */
final class NotInlined extends LogicException
{
    public static function at(string $file, int $line, string $why): self
    {
        return new self("{$file}:{$line}: {$why}");
    }
}
