<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Models\Scene;
use App\Scenes\ScenePart;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;

/** What a gesture is asked with, checked by its rules. */
final readonly class Asked
{
    /** @param  array<array-key, mixed>  $fields */
    public function __construct(public Scene $scene, private array $fields, private mixed $found = null)
    {
    }

    public function with(mixed $found): self
    {
        return new self($this->scene, $this->fields, $found);
    }

    /** What the gesture has found out beforehand. */
    public function found(): mixed
    {
        return $this->found;
    }

    public function has(string $name): bool
    {
        return isset($this->fields[$name]);
    }

    /** The strip that it is about. */
    public function strip(): string
    {
        return $this->text('strip');
    }

    /** The revision that it goes by; null for whatever is there. */
    public function revision(): ?int
    {
        return $this->has('revision') ? (int) $this->number('revision') : null;
    }

    public function text(string $name): string
    {
        $value = $this->fields[$name] ?? null;

        return is_scalar($value) ? (string) $value : throw SceneError::expected($name, 'a text', $value);
    }

    public function optionalText(string $name): ?string
    {
        return $this->has($name) ? $this->text($name) : null;
    }

    /** Whether something is asked for that may be asked for. */
    public function flag(string $name): bool
    {
        return ($this->fields[$name] ?? false) === true;
    }

    public function number(string $name): float
    {
        $value = $this->fields[$name] ?? null;

        return is_numeric($value) ? (float) $value : throw SceneError::expected($name, 'a number', $value);
    }

    /** @param  string  $name  with dots into lists */
    public function point(string $name): Point
    {
        return ScenePart::point(data_get($this->fields, $name), $name);
    }

    /** @return array<array-key, mixed> */
    public function fields(string $name): array
    {
        $value = $this->fields[$name] ?? [];

        return is_array($value) ? $value : throw SceneError::expected($name, 'an object', $value);
    }

    /**
     * @param  list<string>  $names
     * @return array<string, mixed> those of the fields that it was asked with
     */
    public function only(array $names): array
    {
        return array_intersect_key($this->fields, array_flip($names));
    }
}
