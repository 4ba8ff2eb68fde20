<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/**
 * A coloured filter on a light: a swatch of what it does to white, and how much of white light it lets through. The shelf is
 * our own, with plain names; makers' books differ.
 */
final readonly class Gel
{
    /** Nominal shifts of conversion gels in mireds (makers differ; from memory): warming above 0, cooling below. */
    public const CONVERSIONS = [
        'full warming' => 160.0, 'half warming' => 80.0, 'quarter warming' => 40.0,
        'quarter cooling' => -35.0, 'half cooling' => -70.0, 'full cooling' => -140.0,
    ];

    /** @var array<string, array{string, float}> swatch and transmission 0..1, by name */
    private const SHELF = [
        'straw' => ['#ffe9a8', 0.82], 'amber' => ['#ffb347', 0.58], 'ember' => ['#ff6a2b', 0.30], 'brick' => ['#e0452c', 0.16],
        'blush' => ['#ffc2c7', 0.66], 'rose' => ['#ff6f9c', 0.34], 'plum' => ['#9a4bd0', 0.12], 'dusk' => ['#6a6fe0', 0.17],
        'ice' => ['#d3ecff', 0.80], 'sky' => ['#7fc4ff', 0.45], 'deep sea' => ['#1f5fe0', 0.09], 'lagoon' => ['#27c7c9', 0.40],
        'moss' => ['#a9c95a', 0.50], 'leaf' => ['#3fae4b', 0.26], 'mist' => ['#dfe6df', 0.76],
    ];

    private function __construct(public string $name, public Rgb $swatch, public float $transmission)
    {
    }

    /** @return list<self> */
    public static function shelf(): array
    {
        return array_map(static fn (string $name): self => self::named($name) ?? throw new \LogicException("no gel {$name}"), array_keys(self::SHELF));
    }

    public static function named(string $name): ?self
    {
        return isset(self::SHELF[$name]) ? new self($name, Rgb::fromHex(self::SHELF[$name][0]), self::SHELF[$name][1]) : null;
    }

    /** What it leaves of a light: linear, channel by channel, so that of white light its transmission is left. */
    public function over(Rgb $light): Rgb
    {
        $filter = $this->swatch->decoded();
        $filter = $filter->times($this->transmission / Luma::of($filter->red, $filter->green, $filter->blue));

        return new Rgb($light->red * $filter->red, $light->green * $filter->green, $light->blue * $filter->blue);
    }

    /** What it takes of a light, in stops below 0. */
    public function loss(Rgb $light): float
    {
        $left = $this->over($light);

        return log(Luma::of($left->red, $left->green, $left->blue) / Luma::of($light->red, $light->green, $light->blue), 2);
    }
}
