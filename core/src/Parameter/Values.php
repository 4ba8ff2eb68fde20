<?php

declare(strict_types=1);

namespace Aumbrel\Core\Parameter;

use Aumbrel\Core\Bearing\FoundBearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Path;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Mask\Stops;
use Aumbrel\Core\Scene\SceneError;
use Aumbrel\Core\Stroke\Strokes;
use LogicException;

/** Checked values by their parameters' names; fields that no parameter knows are kept for the way out. */
final readonly class Values
{
    /**
     * @param  array<string, mixed>  $values
     * @param  array<string, mixed>  $unknown
     */
    private function __construct(private array $values, private array $unknown)
    {
    }

    /**
     * @param  list<Parameter>  $parameters
     *
     * @throws SceneError naming the field
     */
    public static function read(array $parameters, mixed $raw, string $field): self
    {
        if (! is_array($raw) || ($raw !== [] && array_is_list($raw))) {
            throw SceneError::expected($field, 'an object', $raw);
        }
        $values = [];
        foreach ($parameters as $parameter) {
            if (array_key_exists($parameter->name, $raw)) {
                $values[$parameter->name] = $parameter->read($raw[$parameter->name], "{$field}.{$parameter->name}");
            } elseif ($parameter->optional || $parameter->default !== null) {
                $values[$parameter->name] = $parameter->default;
            } else {
                throw new SceneError("{$field}.{$parameter->name}", 'is missing');
            }
            unset($raw[$parameter->name]);
        }

        /** @var array<string, mixed> $raw */
        return new self($values, $raw);
    }

    public function number(string $name): float
    {
        return is_float($value = $this->get($name)) ? $value : throw new LogicException("{$name} is no number");
    }

    public function optionalNumber(string $name): ?float
    {
        return $this->get($name) === null ? null : $this->number($name);
    }

    public function choice(string $name): string
    {
        return is_string($value = $this->get($name)) ? $value : throw new LogicException("{$name} is no word");
    }

    public function toggle(string $name): bool
    {
        return is_bool($value = $this->get($name)) ? $value : throw new LogicException("{$name} is no switch");
    }

    public function point(string $name): Point
    {
        return ($value = $this->get($name)) instanceof Point ? $value : throw new LogicException("{$name} is no point");
    }

    public function lightColour(string $name): LightColour
    {
        return ($value = $this->get($name)) instanceof LightColour ? $value : throw new LogicException("{$name} is no colour of light");
    }

    public function stops(string $name): Stops
    {
        return ($value = $this->get($name)) instanceof Stops ? $value : throw new LogicException("{$name} are no stops");
    }

    public function path(string $name): Path
    {
        return ($value = $this->get($name)) instanceof Path ? $value : throw new LogicException("{$name} is no outline");
    }

    public function strokes(string $name): Strokes
    {
        return ($value = $this->get($name)) instanceof Strokes ? $value : throw new LogicException("{$name} are no strokes");
    }

    public function corners(string $name): ?Corners
    {
        return ($value = $this->get($name)) === null || $value instanceof Corners ? $value : throw new LogicException("{$name} are no corners");
    }

    public function line(string $name): ?Line
    {
        return ($value = $this->get($name)) === null || $value instanceof Line ? $value : throw new LogicException("{$name} is no line");
    }

    public function bearing(string $name): ?FoundBearing
    {
        return ($value = $this->get($name)) === null || $value instanceof FoundBearing ? $value : throw new LogicException("{$name} is no bearing");
    }

    /** @return array<string, mixed> as it stands in JSON */
    public function toArray(): array
    {
        return [...array_map(Parameter::write(...), $this->values), ...$this->unknown];
    }

    private function get(string $name): mixed
    {
        return array_key_exists($name, $this->values) ? $this->values[$name] : throw new LogicException("there is no value {$name}");
    }
}
