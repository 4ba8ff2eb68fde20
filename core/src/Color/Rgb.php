<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use InvalidArgumentException;

/** Three colour values; whether they are encoded or linear is said by whoever hands them over. */
final readonly class Rgb
{
    public function __construct(public float $red, public float $green, public float $blue)
    {
    }

    /**
     * @param  string  $hex  `#rrggbb`, encoded sRGB
     *
     * @throws InvalidArgumentException when it is not six hexadecimal digits
     */
    public static function fromHex(string $hex): self
    {
        if (preg_match('/^#[0-9a-fA-F]{6}$/D', $hex) !== 1) {
            throw new InvalidArgumentException("a colour is written #rrggbb, not \"{$hex}\"");
        }
        $value = (int) hexdec(substr($hex, 1));

        return new self(($value >> 16 & 255) / 255, ($value >> 8 & 255) / 255, ($value & 255) / 255);
    }

    public function toHex(): string
    {
        return sprintf('#%02x%02x%02x', self::byte($this->red), self::byte($this->green), self::byte($this->blue));
    }

    /** @param  callable(float): float  $change */
    public function map(callable $change): self
    {
        return new self($change($this->red), $change($this->green), $change($this->blue));
    }

    public function decoded(): self
    {
        return $this->map(Srgb::decode(...));
    }

    public function encoded(): self
    {
        return $this->map(Srgb::encode(...));
    }

    public function largest(): float
    {
        return max($this->red, $this->green, $this->blue);
    }

    public function smallest(): float
    {
        return min($this->red, $this->green, $this->blue);
    }

    public function times(float $factor): self
    {
        return new self($this->red * $factor, $this->green * $factor, $this->blue * $factor);
    }

    /** Divided by the largest channel, so that it becomes 1; black stays black. */
    public function normalised(): self
    {
        $largest = $this->largest();

        return $largest > 0 ? $this->times(1 / $largest) : $this;
    }

    private static function byte(float $value): int
    {
        return (int) round(255 * min(1, max(0, $value)));
    }
}
