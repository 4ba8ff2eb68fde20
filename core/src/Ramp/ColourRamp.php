<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelWriter;

/**
 * Colours that come and go: stops of offset, colour, opacity and midpoint along a {@see Course}, mixed premultiplied and as
 * they are stored (encoded).
 */
final readonly class ColourRamp
{
    /** Below this there is no colour that could be told. */
    private const NOTHING = 1e-6;

    /** Names it; asked for again and again. */
    public string $key;

    /** @param  non-empty-list<array{offset: float, own: array{Rgb, float}, midpoint: float, smooth: bool}>  $stops  each with its colour and its opacity */
    private function __construct(private array $stops)
    {
        $this->key = hash('xxh128', serialize($stops));
    }

    /** @param  array{float, string, 2?: float, 3?: float, 4?: bool}  ...$stops offset, colour, opacity and midpoint of each, and whether the stretch after it is smooth */
    public static function of(array ...$stops): self
    {
        return self::read(array_map(
            static fn (array $stop): array => ['offset' => $stop[0], 'colour' => $stop[1], 'opacity' => $stop[2] ?? 1.0, 'midpoint' => $stop[3] ?? 0.5, 'smooth' => $stop[4] ?? false], array_values($stops),
        ), 'stops');
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        return new self(Course::read($raw, $field, '{offset, colour, opacity}', static fn (array $stop, string $at): array => [
            ToneRamp::colour($stop['colour'] ?? null, "{$at}.colour"), Course::share($stop['opacity'] ?? 1, "{$at}.opacity", 0, 1),
        ]));
    }

    /** The same opacities in one colour. */
    public function inColour(Rgb $colour): self
    {
        return $this->colouredBy(static fn (): Rgb => $colour);
    }

    /**
     * The same opacities in colours that go by the offset.
     *
     * @param  callable(float): Rgb  $colour  encoded
     */
    public function colouredBy(callable $colour): self
    {
        return new self(array_map(static fn (array $stop): array => array_replace($stop, ['own' => [$colour($stop['offset']), $stop['own'][1]]]), $this->stops));
    }

    /**
     * Red, green and blue, encoded and premultiplied, and the opacity at t, written plainly; kernels write the same as branches.
     *
     * @return array{float, float, float, float}
     */
    public function at(float $t): array
    {
        [$from, $to, $share] = Course::at($this->stops, $t);
        [$before, $after] = [self::premultiplied($from['own']), self::premultiplied($to['own'])];
        $mixed = [];
        foreach ($before as $k => $value) {
            $mixed[] = $value + $share * ($after[$k] - $value);
        }

        /** @var array{float, float, float, float} $mixed */
        return $mixed;
    }

    /**
     * Writes what it has at the variable $t into four variables: premultiplied red, green, blue, and the opacity.
     *
     * @param  array{string, string, string, string}  $into
     */
    public function write(KernelWriter $kernel, string $t, array $into): void
    {
        Course::write($kernel, $this->stops, $t, false,
            static fn (array $stop): string => implode(' ', array_map(static fn (string $variable, float $value): string => "{$variable} = {$kernel->number($value)};", $into, self::premultiplied($stop['own']))),
            static fn (array $from, array $to, string $share): string => implode(' ', array_map(
                static fn (string $variable, float $before, float $after): string => "{$variable} = {$kernel->number($before)} + {$share} * {$kernel->number($after - $before)};",
                $into, self::premultiplied($from['own']), self::premultiplied($to['own']),
            )));
    }

    /** Writes the opacity alone at the variable $t into a variable. */
    public function writeOpacity(KernelWriter $kernel, string $t, string $into): void
    {
        Course::write($kernel, $this->stops, $t, false,
            static fn (array $stop): string => "{$into} = {$kernel->number($stop['own'][1])};",
            static fn (array $from, array $to, string $share): string => "{$into} = {$kernel->number($from['own'][1])} + {$share} * {$kernel->number($to['own'][1] - $from['own'][1])};");
    }

    /**
     * Writes the colour alone at the variable $t, not premultiplied, into three variables.
     *
     * @param  array{string, string, string}  $into
     */
    public function writeColour(KernelWriter $kernel, string $t, array $into): void
    {
        $opacity = $kernel->variable('opacity');
        $this->write($kernel, $t, [...$into, $opacity]);
        $kernel->line("if ({$opacity} > {$kernel->number(self::NOTHING)}) { {$opacity} = 1.0 / {$opacity}; {$into[0]} *= {$opacity}; {$into[1]} *= {$opacity}; {$into[2]} *= {$opacity}; }");
    }

    /** Whether it is opaque throughout. */
    public function isOpaque(): bool
    {
        return array_filter($this->stops, static fn (array $stop): bool => $stop['own'][1] < 1.0) === [];
    }

    /** As a mask: what it has of opacity, or where it is opaque throughout its brightness. */
    public function asMask(): Stops
    {
        $isOpaque = $this->isOpaque();

        return Stops::read(array_map(static fn (array $stop): array => Course::written($stop, ['value' => $isOpaque ? min(1.0, Luma::of($stop['own'][0]->red, $stop['own'][0]->green, $stop['own'][0]->blue)) : $stop['own'][1]]), $this->stops), 'stops');
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(static fn (array $stop): array => Course::written($stop, ['colour' => $stop['own'][0]->toHex(), 'opacity' => $stop['own'][1]]), $this->stops);
    }

    /**
     * @param  array{Rgb, float}  $own
     * @return array{float, float, float, float}
     */
    private static function premultiplied(array $own): array
    {
        [$colour, $opacity] = $own;

        return [$colour->red * $opacity, $colour->green * $opacity, $colour->blue * $opacity, $opacity];
    }
}
