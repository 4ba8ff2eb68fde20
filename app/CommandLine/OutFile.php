<?php

declare(strict_types=1);

namespace App\CommandLine;

/** Where a command writes to. */
final class OutFile
{
    /**
     * @param  list<string>  $endings  that its name may have
     *
     * @throws Problem when it is not said, or cannot be written
     */
    public static function of(Arguments $arguments, array $endings, string $usage): string
    {
        $out = $arguments->text('out') ?? throw new Problem("where to? {$usage}");
        if (! in_array(strtolower(pathinfo($out, PATHINFO_EXTENSION)), $endings, true)) {
            throw new Problem('--out: expected a name that ends in .'.implode(', .', $endings).", found \"{$out}\"");
        }

        return self::writable($out);
    }

    /** @throws Problem when its folder cannot be written */
    public static function writable(string $out): string
    {
        return is_dir(dirname($out)) && is_writable(dirname($out)) ? $out : throw new Problem("--out: the folder of {$out} cannot be written");
    }
}
