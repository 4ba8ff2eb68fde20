<?php

declare(strict_types=1);

namespace Aumbrel\Core\Parameter;

use Aumbrel\Core\Bearing\FoundBearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Path;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Mask\Stops;
use Aumbrel\Core\Scene\SceneError;
use Aumbrel\Core\Stroke\Strokes;
use InvalidArgumentException;

/**
 * One value that a strip or a mask has: its name in the scene file, its words on the bench, its unit and its range.
 *
 * This is the only place where a value's range stands: reading a scene file, checking a request and drawing the bench
 * all go by it.
 */
final readonly class Parameter
{
    /** Where a point may lie, in scene pixels: far outside every picture that is accepted. */
    private const FAR = 1e6;

    /**
     * @param  list<string>  $choices
     * @param  array<string, list<string>>  $shownWhen  the choices of other parameters under which this one has a meaning
     */
    private function __construct(
        public string $name,
        public string $label,
        public ParameterType $type,
        public string $section,
        public mixed $default = null,
        public bool $optional = false,
        public Unit $unit = Unit::None,
        public float $least = 0,
        public float $most = 0,
        public float $step = 1,
        public array $choices = [],
        public array $shownWhen = [],
        public string $whenEmpty = '',
    ) {
    }

    public static function number(string $name, string $label, string $section, Unit $unit, float $least, float $most, float $default, float $step = 1): self
    {
        return new self($name, $label, ParameterType::Number, $section, $default, unit: $unit, least: $least, most: $most, step: $step);
    }

    /** @param  string  $whenEmpty what the bench says while there is no number */
    public static function optionalNumber(string $name, string $label, string $section, Unit $unit, float $least, float $most, string $whenEmpty, float $step = 1): self
    {
        return new self($name, $label, ParameterType::Number, $section, null, true, $unit, $least, $most, $step, whenEmpty: $whenEmpty);
    }

    /** @param  list<string>  $choices */
    public static function choice(string $name, string $label, string $section, array $choices, string $default): self
    {
        return new self($name, $label, ParameterType::Choice, $section, $default, choices: $choices);
    }

    public static function toggle(string $name, string $label, string $section, bool $default = false): self
    {
        return new self($name, $label, ParameterType::Toggle, $section, $default);
    }

    public static function point(string $name, string $label, string $section, ?Point $default = null): self
    {
        return new self($name, $label, ParameterType::Point, $section, $default);
    }

    public static function lightColour(string $name, string $label, string $section, LightColour $default): self
    {
        return new self($name, $label, ParameterType::LightColour, $section, $default);
    }

    public static function flatColour(string $name, string $label, string $section, string $default): self
    {
        return new self($name, $label, ParameterType::FlatColour, $section, $default);
    }

    public static function maskStops(string $name, string $label, string $section, Stops $default): self
    {
        return new self($name, $label, ParameterType::MaskStops, $section, $default);
    }

    public static function path(string $name, string $label, string $section): self
    {
        return new self($name, $label, ParameterType::Path, $section, Path::none());
    }

    public static function strokes(string $name, string $label, string $section): self
    {
        return new self($name, $label, ParameterType::Strokes, $section, new Strokes([]));
    }

    /** Four corners in order round a quadrilateral without a dent. */
    public static function optionalCorners(string $name, string $label, string $section, string $whenEmpty): self
    {
        return new self($name, $label, ParameterType::Corners, $section, null, true, whenEmpty: $whenEmpty);
    }

    /** A straight line from one point to another. */
    public static function optionalLine(string $name, string $label, string $section, string $whenEmpty): self
    {
        return new self($name, $label, ParameterType::Line, $section, null, true, whenEmpty: $whenEmpty);
    }

    public static function optionalBearing(string $name, string $label, string $section, string $whenEmpty): self
    {
        return new self($name, $label, ParameterType::Bearing, $section, null, true, whenEmpty: $whenEmpty);
    }

    public static function picture(string $name, string $label, string $section): self
    {
        return new self($name, $label, ParameterType::Picture, $section);
    }

    /** @param  list<string>  $choices */
    public function shownWhen(string $other, array $choices): self
    {
        return new self($this->name, $this->label, $this->type, $this->section, $this->default, $this->optional, $this->unit,
            $this->least, $this->most, $this->step, $this->choices, [...$this->shownWhen, $other => $choices], $this->whenEmpty);
    }

    /**
     * Checks a value as it stands in JSON and gives it its type.
     *
     * @throws SceneError naming $field
     */
    public function read(mixed $raw, string $field): mixed
    {
        if ($raw === null && $this->optional) {
            return null;
        }

        return match ($this->type) {
            ParameterType::Number => $this->readNumber($raw, $field),
            ParameterType::Choice => is_string($raw) && in_array($raw, $this->choices, true)
                ? $raw : throw SceneError::expected($field, 'one of '.implode(', ', $this->choices), $raw),
            ParameterType::Toggle => is_bool($raw) ? $raw : throw SceneError::expected($field, 'true or false', $raw),
            ParameterType::Point => self::readPoint($raw, $field),
            ParameterType::LightColour => LightColour::read($raw, $field),
            ParameterType::FlatColour => self::readHex($raw, $field),
            ParameterType::MaskStops => Stops::read($raw, $field),
            ParameterType::Path => Path::read($raw, $field),
            ParameterType::Strokes => Strokes::read($raw, $field),
            ParameterType::Corners => Corners::read($raw, $field),
            ParameterType::Line => Line::read($raw, $field),
            ParameterType::Bearing => FoundBearing::read($raw, $field),
            ParameterType::Picture => is_string($raw) && preg_match('/^[\w][\w .()+-]{0,199}$/Du', $raw) === 1
                ? $raw : throw SceneError::expected($field, 'the plain name of a picture file', $raw),
        };
    }

    /** The value as it stands in JSON. */
    public static function write(mixed $value): mixed
    {
        return match (true) {
            $value instanceof Point => $value->toArray(),
            $value instanceof LightColour => $value->toArray(),
            $value instanceof Stops, $value instanceof Path, $value instanceof Strokes, $value instanceof Corners, $value instanceof Line, $value instanceof FoundBearing => $value->toArray(),
            default => $value,
        };
    }

    /** @return array<string, mixed> what the interface needs to know of it */
    public function describe(): array
    {
        return [
            'name' => $this->name, 'label' => $this->label, 'type' => $this->type->value, 'section' => $this->section,
            'unit' => $this->unit->value, 'least' => $this->least, 'most' => $this->most, 'step' => $this->step,
            'default' => self::write($this->default), 'optional' => $this->optional, 'choices' => $this->choices,
            'shownWhen' => (object) $this->shownWhen, 'whenEmpty' => $this->whenEmpty,
        ];
    }

    private function readNumber(mixed $raw, string $field): float
    {
        $range = "a number from {$this->least} to {$this->most}".($this->unit === Unit::None ? '' : " {$this->unit->value}");
        if (! is_int($raw) && ! is_float($raw)) {
            throw SceneError::expected($field, $range, $raw);
        }
        if (! ($raw >= $this->least && $raw <= $this->most)) {
            throw SceneError::expected($field, $range, $raw);
        }

        return (float) $raw;
    }

    public static function readPoint(mixed $raw, string $field): Point
    {
        $x = is_array($raw) ? $raw[0] ?? null : null;
        $y = is_array($raw) ? $raw[1] ?? null : null;
        if (! is_array($raw) || count($raw) !== 2 || ! (is_int($x) || is_float($x)) || ! (is_int($y) || is_float($y))
            || ! (abs($x) <= self::FAR && abs($y) <= self::FAR)) {
            throw SceneError::expected($field, 'a point [x, y] in scene pixels, within a million of the corner', $raw);
        }

        return new Point((float) $x, (float) $y);
    }

    private static function readHex(mixed $raw, string $field): string
    {
        try {
            return Rgb::fromHex(is_string($raw) ? $raw : '')->toHex();
        } catch (InvalidArgumentException) {
            throw SceneError::expected($field, 'a colour #rrggbb', $raw);
        }
    }
}
