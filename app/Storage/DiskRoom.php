<?php

declare(strict_types=1);

namespace App\Storage;

/** The room that is left where everything lies, in bytes, and whether that is little. */
final readonly class DiskRoom
{
    private const LEAST_BYTES = 1024 ** 3;

    private const LEAST_SHARE = 0.05;

    private function __construct(public float $free, public float $whole)
    {
    }

    public static function now(): self
    {
        return new self((float) @disk_free_space(storage_path()), (float) @disk_total_space(storage_path()));
    }

    public static function isLow(float $free, float $whole): bool
    {
        return $free < self::LEAST_BYTES || ($whole > 0 && $free / $whole < self::LEAST_SHARE);
    }

    /** @return array{free: int, isLow: bool} */
    public function told(): array
    {
        return ['free' => (int) $this->free, 'isLow' => self::isLow($this->free, $this->whole)];
    }
}
