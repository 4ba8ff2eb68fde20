<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use Aumbrel\Core\Fault\SceneError;

/** So much red, green and blue more or less in darks, mids and lights: -100..100 each. */
final readonly class Shifts
{
    public const RANGES = ['darks', 'mids', 'lights'];

    public const MOST = 100.0;

    /**
     * @param  array{float, float, float}  $darks
     * @param  array{float, float, float}  $mids
     * @param  array{float, float, float}  $lights
     */
    public function __construct(public array $darks = [0.0, 0.0, 0.0], public array $mids = [0.0, 0.0, 0.0], public array $lights = [0.0, 0.0, 0.0])
    {
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || array_diff(array_keys($raw), self::RANGES) !== []) {
            throw SceneError::expected($field, '{"darks", "mids", "lights"}, each [red, green, blue]', $raw);
        }

        return new self(...array_map(static fn (string $range): array => self::shift($raw[$range] ?? [0, 0, 0], "{$field}.{$range}"), self::RANGES));
    }

    public function isNone(): bool
    {
        return $this == new self;
    }

    /** @return array<string, list<float>> */
    public function toArray(): array
    {
        return ['darks' => $this->darks, 'mids' => $this->mids, 'lights' => $this->lights];
    }

    /**
     * @return array{float, float, float}
     *
     * @throws SceneError naming $field
     */
    private static function shift(mixed $raw, string $field): array
    {
        $numbers = is_array($raw) && array_is_list($raw) ? array_filter($raw, static fn (mixed $value): bool => (is_int($value) || is_float($value)) && abs($value) <= self::MOST) : [];
        if (! is_array($raw) || count($raw) !== 3 || count($numbers) !== 3) {
            throw SceneError::expected($field, 'red, green and blue from -'.self::MOST.' to '.self::MOST, $raw);
        }
        [$red, $green, $blue] = array_map(floatval(...), $numbers);

        return [$red, $green, $blue];
    }
}
