<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** The picture under a closed group, put aside while that is put together. */
final readonly class Underneath
{
    /**
     * @param  array<string, string>  $lines  that keep it, by channel
     * @param  bool  $exceeds  whether a value of it may lie above 1
     */
    public function __construct(public array $lines, public bool $isOpaque, public bool $exceeds)
    {
    }
}
