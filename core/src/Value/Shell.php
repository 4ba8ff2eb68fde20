<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Ramp\ColourRamp;

/** One layer of a glow. */
final readonly class Shell
{
    public const WIDEST = 4000.0;

    /**
     * @param  float  $radius  scene pixels: by how much the core is smaller than its shape; sigma of the others
     * @param  float  $level  stops, on top of the strip's
     * @param  float  $pale  0..1, how far its colour goes toward white
     * @param  LightColour|null  $colour  of its own; null for the strip's
     * @param  ColourRamp|null  $ramp  colour and opacity by how far out it is, in place of a colour
     * @param  BlendMode|null  $mode  of its own; null for the strip's
     */
    public function __construct(
        public ShellPart $part,
        public float $radius,
        public float $level,
        public float $pale = 0.0,
        public ?LightColour $colour = null,
        public ?ColourRamp $ramp = null,
        public ?BlendMode $mode = null,
    ) {
    }

    /** The same with another radius or level. */
    public function with(?float $radius = null, ?float $level = null): self
    {
        return new self($this->part, $radius ?? $this->radius, $level ?? $this->level, $this->pale, $this->colour, $this->ramp, $this->mode);
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $part = $fields->take('part', '');
        $mode = $fields->take('mode');
        $colour = $fields->take('colour');
        $ramp = $fields->take('ramp');

        return new self(
            (is_string($part) ? ShellPart::tryFrom($part) : null) ?? throw SceneError::expected("{$field}.part", 'one of '.implode(', ', array_column(ShellPart::cases(), 'value')), $part),
            $fields->number('radius', 0, 0, self::WIDEST, 'px'), $fields->number('level', 0, Unit::LEAST_LEVEL, Unit::MOST_LEVEL, 'stops'), $fields->number('pale', 0, 0, 100, '%') / 100,
            $colour === null ? null : LightColour::read($colour, "{$field}.colour"), $ramp === null ? null : ColourRamp::read($ramp, "{$field}.ramp"),
            $mode === null ? null : (is_string($mode) ? BlendMode::tryFrom($mode) : null) ?? throw SceneError::expected("{$field}.mode", 'a blend mode', $mode),
        );
    }

    /**
     * Linear, the largest channel 1: toward white by how pale it is.
     *
     * @param  Rgb  $own  the strip's
     */
    public function colour(Rgb $own, float $white): Rgb
    {
        return ($this->colour?->linear($white) ?? $own)->map(fn (float $value): float => $value + $this->pale * (1.0 - $value));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'part' => $this->part->value, 'radius' => $this->radius, 'level' => $this->level, 'pale' => $this->pale * 100,
            ...($this->colour === null ? [] : ['colour' => $this->colour->toArray()]), ...($this->ramp === null ? [] : ['ramp' => $this->ramp->toArray()]), ...($this->mode === null ? [] : ['mode' => $this->mode->value]),
        ];
    }
}
