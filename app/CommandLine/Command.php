<?php

declare(strict_types=1);

namespace App\CommandLine;

interface Command
{
    /**
     * @param  list<string>  $words  behind the command's name
     *
     * @throws Problem when the input is bad
     */
    public function run(array $words): void;

    /** How it is used: the first line, and what it does. */
    public static function help(): string;
}
