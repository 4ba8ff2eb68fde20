<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelWriter;
use InvalidArgumentException;

/** Tones to colours: stops of offset, colour and midpoint along a {@see Course}, mixed as they are stored (encoded). */
final readonly class ToneRamp
{
    /** @param  non-empty-list<array{offset: float, own: Rgb, midpoint: float, smooth: bool}>  $stops  each with its colour */
    private function __construct(private array $stops)
    {
    }

    /** From black to a colour, which keeps black black. */
    public static function toward(Rgb $colour): self
    {
        return new self([['offset' => 0.0, 'own' => new Rgb(0, 0, 0), 'midpoint' => 0.5, 'smooth' => false], ['offset' => 1.0, 'own' => $colour, 'midpoint' => 0.5, 'smooth' => false]]);
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        return new self(Course::read($raw, $field, '{offset, colour}', static fn (array $stop, string $at): Rgb => self::colour($stop['colour'] ?? null, "{$at}.colour")));
    }

    /** The colour of a tone, written plainly; kernels write the same as branches. */
    public function colourAt(float $tone): Rgb
    {
        [['own' => $from], ['own' => $to], $share] = Course::at($this->stops, $tone);

        return new Rgb($from->red + $share * ($to->red - $from->red), $from->green + $share * ($to->green - $from->green), $from->blue + $share * ($to->blue - $from->blue));
    }

    /**
     * Writes the colour of the tone in the variable $tone into three variables.
     *
     * @param  array{string, string, string}  $into
     */
    public function write(KernelWriter $kernel, string $tone, array $into): void
    {
        $channels = static fn (Rgb $colour): array => [$colour->red, $colour->green, $colour->blue];
        Course::write($kernel, $this->stops, $tone, false,
            static fn (array $stop): string => implode(' ', array_map(static fn (string $variable, float $value): string => "{$variable} = {$kernel->number($value)};", $into, $channels($stop['own']))),
            static fn (array $from, array $to, string $share): string => implode(' ', array_map(
                static fn (string $variable, float $before, float $after): string => "{$variable} = {$kernel->number($before)} + {$share} * {$kernel->number($after - $before)};",
                $into, $channels($from['own']), $channels($to['own']),
            )));
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(static fn (array $stop): array => Course::written($stop, ['colour' => $stop['own']->toHex()]), $this->stops);
    }

    /** @throws SceneError naming $field */
    public static function colour(mixed $raw, string $field): Rgb
    {
        try {
            return Rgb::fromHex(is_string($raw) ? $raw : '');
        } catch (InvalidArgumentException) {
            throw SceneError::expected($field, 'a colour #rrggbb', $raw);
        }
    }
}
