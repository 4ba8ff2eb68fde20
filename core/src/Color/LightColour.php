<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use Aumbrel\Core\Fault\SceneError;
use InvalidArgumentException;

/** The colour of a light: a swatch (encoded sRGB) or a temperature in kelvin. */
final readonly class LightColour
{
    private function __construct(public ?string $swatch, public ?float $kelvin)
    {
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
        $swatch = is_array($raw) ? $raw['swatch'] ?? null : null;
        $kelvin = is_array($raw) ? $raw['kelvin'] ?? null : null;
        if (is_string($swatch) && $kelvin === null) {
            try {
                return self::swatch($swatch);
            } catch (InvalidArgumentException) {
                throw SceneError::expected("{$field}.swatch", 'a colour #rrggbb', $swatch);
            }
        }
        if ((is_int($kelvin) || is_float($kelvin)) && $swatch === null) {
            return $kelvin >= Kelvin::COOLEST && $kelvin <= Kelvin::HOTTEST
                ? self::kelvin((float) $kelvin)
                : throw SceneError::expected("{$field}.kelvin", 'a number from 1000 to 25000 K', $kelvin);
        }
        throw SceneError::expected($field, '{"swatch": "#rrggbb"} or {"kelvin": number}', $raw);
    }

    /** Linear, the largest channel 1; black gives no light. The scene's white does not act on swatches. */
    public function linear(float $sceneWhite): Rgb
    {
        return $this->swatch !== null
            ? Rgb::fromHex($this->swatch)->decoded()->normalised()
            : Kelvin::under((float) $this->kelvin, $sceneWhite);
    }

    /** @return array{swatch: string}|array{kelvin: float} */
    public function toArray(): array
    {
        return $this->swatch !== null ? ['swatch' => $this->swatch] : ['kelvin' => (float) $this->kelvin];
    }
}
