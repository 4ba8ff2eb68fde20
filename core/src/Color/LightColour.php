<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;
use InvalidArgumentException;

/**
 * The colour of a light: a swatch (encoded sRGB), or a temperature in kelvin that a conversion gel may shift; over it a colour
 * gel, and its own saturation and tint. It is a colour only, with its largest channel 1: black stays black whatever it is.
 */
final readonly class LightColour
{
    /** A shift by a conversion gel, mireds. */
    private const MOST_SHIFT = 500.0;

    private function __construct(
        public ?string $swatch,
        public ?float $kelvin,
        public float $shift = 0.0,
        public ?Gel $gel = null,
        public bool $loses = false,
        public float $saturation = 1.0,
        public ?string $tint = null,
        public float $tinted = 0.0,
    ) {
    }

    public static function swatch(string $hex): self
    {
        return new self(Rgb::fromHex($hex)->toHex(), null);
    }

    public static function kelvin(float $kelvin): self
    {
        return new self(null, $kelvin);
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || isset($raw['swatch']) === isset($raw['kelvin'])) {
            throw SceneError::expected($field, '{"swatch": "#rrggbb"} or {"kelvin": number}', $raw);
        }
        $fields = new Fields($raw, $field);
        $swatch = $fields->has('swatch') ? self::hex($fields->take('swatch'), "{$field}.swatch") : null;
        $kelvin = $swatch === null ? $fields->number('kelvin', NAN, Kelvin::COOLEST, Kelvin::HOTTEST, 'K') : null;
        $gel = $fields->take('gel');

        return new self(
            $swatch, $kelvin, $kelvin === null ? 0.0 : $fields->number('shift', 0, -self::MOST_SHIFT, self::MOST_SHIFT, 'mired'),
            $gel === null ? null : (is_string($gel) ? Gel::named($gel) : null) ?? throw SceneError::expected("{$field}.gel", 'the name of a gel of the shelf', $gel),
            $fields->toggle('loses', false), $fields->number('saturation', 100, 0, 200, '%') / 100,
            $fields->has('tint') ? self::hex($fields->take('tint'), "{$field}.tint") : null, $fields->number('tinted', 0, 0, 100, '%') / 100,
        );
    }

    /** Linear, the largest channel 1; black gives no light. The scene's white does not act on swatches. */
    public function linear(float $sceneWhite): Rgb
    {
        $light = $this->bare($sceneWhite);
        if ($this->gel !== null) {
            $light = $this->gel->over($light)->normalised();
        }
        if ($this->saturation === 1.0 && ($this->tint === null || $this->tinted === 0.0)) {
            return $light;
        }
        [$l, $a, $b] = Oklab::ofLinear($light->red, $light->green, $light->blue);
        [$a, $b] = [$a * $this->saturation, $b * $this->saturation];
        if ($this->tint !== null) {
            $tint = Rgb::fromHex($this->tint)->decoded();
            [, $ta, $tb] = Oklab::ofLinear($tint->red, $tint->green, $tint->blue);
            [$a, $b] = [$a + $this->tinted * ($ta - $a), $b + $this->tinted * ($tb - $b)];
        }

        return Oklab::toLinear($l, $a, $b)->map(static fn (float $value): float => max(0.0, $value))->normalised();
    }

    /** What its gel takes of it in stops, below 0, where that is wanted; 0 otherwise. */
    public function stops(float $sceneWhite): float
    {
        return $this->loses ? $this->loss($sceneWhite) : 0.0;
    }

    /** What its gel would take of it, in stops below 0; 0 without a gel. */
    public function loss(float $sceneWhite): float
    {
        $light = $this->bare($sceneWhite);

        return $this->gel === null || $light->largest() <= 0 ? 0.0 : $this->gel->loss($light);
    }

    /** Whether a conversion gel would take it further than there is. */
    public function isAtEnd(): bool
    {
        return $this->kelvin !== null && $this->shift !== 0.0 && Mired::isClamped($this->kelvin, $this->shift);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            ...($this->swatch !== null ? ['swatch' => $this->swatch] : ['kelvin' => (float) $this->kelvin]),
            ...($this->shift === 0.0 ? [] : ['shift' => $this->shift]),
            ...($this->gel === null ? [] : ['gel' => $this->gel->name]), ...($this->loses ? ['loses' => true] : []),
            ...($this->saturation === 1.0 ? [] : ['saturation' => $this->saturation * 100]),
            ...($this->tint === null ? [] : ['tint' => $this->tint, 'tinted' => $this->tinted * 100]),
        ];
    }

    /** Without colour gel, saturation and tint. */
    private function bare(float $sceneWhite): Rgb
    {
        return $this->swatch !== null
            ? Rgb::fromHex($this->swatch)->decoded()->normalised()
            : Kelvin::under(Mired::shifted((float) $this->kelvin, $this->shift), $sceneWhite);
    }

    /** @throws SceneError naming $field */
    private static function hex(mixed $raw, string $field): string
    {
        try {
            return Rgb::fromHex(is_string($raw) ? $raw : '')->toHex();
        } catch (InvalidArgumentException) {
            throw SceneError::expected($field, 'a colour #rrggbb', $raw);
        }
    }
}
