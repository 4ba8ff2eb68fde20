<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;
use LogicException;

/** Checked values by their parameters' names; fields that no parameter knows are kept for the way out. */
final readonly class Values
{
    /**
     * @param  list<Parameter>  $parameters
     * @param  array<string, mixed>  $values
     * @param  array<string, mixed>  $unknown
     */
    private function __construct(private array $parameters, private array $values, private array $unknown)
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
            if ($parameter->former !== null) {
                $raw += array_key_exists($parameter->former, $raw) ? [$parameter->name => $raw[$parameter->former]] : [];
                unset($raw[$parameter->former]);
            }
            if (array_key_exists($parameter->name, $raw)) {
                $values[$parameter->name] = $parameter->read($raw[$parameter->name], "{$field}.{$parameter->name}");
            } elseif ($parameter->isRequired()) {
                throw new SceneError("{$field}.{$parameter->name}", 'is missing');
            } else {
                $values[$parameter->name] = $parameter->default;
            }
            unset($raw[$parameter->name]);
        }

        /** @var array<string, mixed> $raw */
        $read = new self($parameters, $values, $raw);
        $read->checkTimes($field);

        return $read;
    }

    public function number(string $name): float
    {
        return is_float($value = $this->get($name)) ? $value : throw new LogicException("{$name} is no number");
    }

    public function optionalNumber(string $name): ?float
    {
        return $this->get($name) === null ? null : $this->number($name);
    }

    public function text(string $name): string
    {
        return is_string($value = $this->get($name)) ? $value : throw new LogicException("{$name} is no text");
    }

    public function optionalText(string $name): ?string
    {
        return $this->get($name) === null ? null : $this->text($name);
    }

    /** @return list<string> */
    public function texts(string $name): array
    {
        $value = $this->get($name);

        return is_array($value) ? array_values(array_filter($value, is_string(...))) : throw new LogicException("{$name} is no list of texts");
    }

    public function toggle(string $name): bool
    {
        return is_bool($value = $this->get($name)) ? $value : throw new LogicException("{$name} is no switch");
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T
     */
    public function object(string $name, string $class): object
    {
        return ($value = $this->get($name)) instanceof $class ? $value : throw new LogicException("{$name} is no {$class}");
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T|null
     */
    public function optional(string $name, string $class): ?object
    {
        return $this->get($name) === null ? null : $this->object($name, $class);
    }

    public function has(string $name): bool
    {
        return array_key_exists($name, $this->values);
    }

    /** @return array<string, mixed> as it stands in JSON */
    public function toArray(): array
    {
        $written = [];
        foreach ($this->parameters as $parameter) {
            $written[$parameter->name] = $parameter->write($this->values[$parameter->name]);
        }

        return [...$written, ...$this->unknown];
    }

    /** @return list<string> plain names of the pictures among them */
    public function pictures(): array
    {
        $names = [];
        foreach ($this->parameters as $parameter) {
            $name = $parameter->type instanceof PictureValue ? $this->values[$parameter->name] : null;
            if (is_string($name)) {
                $names[] = $name;
            }
        }

        return $names;
    }

    /** Names the values that parameters know. */
    public function key(): string
    {
        $keys = array_map(fn (Parameter $parameter): string => $this->values[$parameter->name] === null ? '-' : $parameter->type->keyOf($this->values[$parameter->name]), $this->parameters);

        return hash('xxh128', implode("\n", $keys));
    }

    /** @return array<string, mixed> as it stands in JSON, about a line in the scene */
    public function mirrored(Mirror $mirror): array
    {
        $written = [];
        foreach ($this->parameters as $parameter) {
            $written[$parameter->name] = $parameter->write($parameter->type->mirrored($this->values[$parameter->name], $mirror));
        }

        return [...$written, ...$this->unknown];
    }

    /** @return array<string, mixed> as it stands in JSON, without what says where something is */
    public function look(): array
    {
        $look = [];
        foreach ($this->parameters as $parameter) {
            $look += $parameter->isPlace() ? [] : [$parameter->name => $parameter->write($this->values[$parameter->name])];
        }

        return $look;
    }

    /** @throws SceneError naming a number that is not so many times another one as it has to be */
    private function checkTimes(string $field): void
    {
        foreach ($this->parameters as $parameter) {
            $times = $parameter->type instanceof NumberValue ? $parameter->type->times : null;
            if ($times !== null && $this->values[$parameter->name] !== null) {
                $labels = array_column($this->parameters, 'label', 'name');
                $times->check($this->number($parameter->name), $this->number($times->of), "{$field}.{$parameter->name}", $parameter->label, $labels[$times->of] ?? $times->of);
            }
        }
    }

    private function get(string $name): mixed
    {
        return array_key_exists($name, $this->values) ? $this->values[$name] : throw new LogicException("there is no value {$name}");
    }

    /**
     * Values as they stand in JSON, for a picture of another size.
     *
     * @param  list<Parameter>  $parameters
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     */
    public static function carried(array $parameters, array $values, Carry $carry): array
    {
        foreach ($parameters as $parameter) {
            if (isset($values[$parameter->name])) {
                $values[$parameter->name] = $parameter->type->carried($values[$parameter->name], $carry);
            }
        }

        return $values;
    }
}
