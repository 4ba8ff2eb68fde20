<?php

declare(strict_types=1);

namespace Aumbrel\Core\Input;

use Aumbrel\Core\Fault\SceneError;

/** The fields of one JSON object, taken one by one; what is left over is unknown and kept. */
final class Fields
{
    /** What a name may be, as a pattern. */
    public const IDENTIFIER = '^[A-Za-z0-9_-]{1,40}$';

    /** @var array<string, mixed> */
    private array $raw;

    /** @throws SceneError when it is no object */
    public function __construct(mixed $raw, private readonly string $path)
    {
        if (! is_array($raw) || ($raw !== [] && array_is_list($raw))) {
            throw SceneError::expected($path === '' ? 'scene' : $path, 'an object', $raw);
        }
        /** @var array<string, mixed> $raw */
        $this->raw = $raw;
    }

    public function take(string $name, mixed $default = null): mixed
    {
        $value = $this->raw[$name] ?? $default;
        unset($this->raw[$name]);

        return $value;
    }

    public function has(string $name): bool
    {
        return array_key_exists($name, $this->raw);
    }

    /** @phpstan-assert-if-true string $value */
    public static function isIdentifier(mixed $value): bool
    {
        return is_string($value) && preg_match('/'.self::IDENTIFIER.'/D', $value) === 1;
    }

    public function identifier(string $name): string
    {
        $value = $this->take($name);

        return self::isIdentifier($value) ? $value : throw SceneError::expected($this->field($name), '1 to 40 letters, digits, - or _', $value);
    }

    public function text(string $name, string $default, int $most): string
    {
        $value = $this->take($name, $default);
        if (! is_string($value) || ! mb_check_encoding($value, 'UTF-8') || mb_strlen($value) > $most || trim($value) === '') {
            throw SceneError::expected($this->field($name), "a text of 1 to {$most} characters", $value);
        }

        return trim($value);
    }

    public function toggle(string $name, bool $default): bool
    {
        $value = $this->take($name, $default);

        return is_bool($value) ? $value : throw SceneError::expected($this->field($name), 'true or false', $value);
    }

    public function number(string $name, float $default, float $least, float $most, string $unit): float
    {
        $value = $this->take($name, $default);

        return (is_int($value) || is_float($value)) && $value >= $least && $value <= $most
            ? (float) $value : throw SceneError::expected($this->field($name), trim("a number from {$least} to {$most} {$unit}"), $value);
    }

    /** @return list<mixed> */
    public function list(string $name, int $most): array
    {
        $value = $this->take($name, []);

        return is_array($value) && array_is_list($value) && count($value) <= $most
            ? $value : throw SceneError::expected($this->field($name), "a list of at most {$most}", $value);
    }

    /** @return array<string, mixed> */
    public function rest(): array
    {
        return $this->raw;
    }

    public function field(string $name): string
    {
        return $this->path === '' ? $name : "{$this->path}.{$name}";
    }
}
