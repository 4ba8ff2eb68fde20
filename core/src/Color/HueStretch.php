<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/**
 * A stretch of hues and what becomes of it: how far it turns, how many times as rich it gets, how much lighter.
 *
 * Its four limits go round counterclockwise, in degrees of Oklab's hue: none of it before the first, all of it from the second to
 * the third, none of it from the fourth on; between them half a wave, so that two stretches that share a shoulder sum to one there.
 */
final readonly class HueStretch
{
    /** What a stretch can have: least, most, and what changes nothing. */
    public const PARTS = ['turn' => [-90.0, 90.0, 0.0], 'chroma' => [0.0, 2.0, 1.0], 'light' => [-100.0, 100.0, 0.0]];

    /**
     * @param  array{float, float, float, float}  $hues  rising, the first 0..360 (without 360), at most 360 from first to last
     * @param  float  $turn  degrees
     * @param  float  $chroma  a factor
     * @param  float  $light  -100..100
     */
    public function __construct(public array $hues, public float $turn = 0.0, public float $chroma = 1.0, public float $light = 0.0)
    {
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);

        return self::of(self::limits($fields->take('hues'), "{$field}.hues"), $fields);
    }

    /** @param  array{float, float, float, float}  $hues */
    public static function of(array $hues, Fields $fields): self
    {
        [$turn, $chroma, $light] = array_map(
            static fn (string $part): float => $fields->number($part, self::PARTS[$part][2], self::PARTS[$part][0], self::PARTS[$part][1], ''),
            ['turn', 'chroma', 'light'],
        );

        return new self($hues, $turn, $chroma, $light);
    }

    /** @return array<string, float|list<float>> what changes nothing is left out */
    public function toArray(): array
    {
        $parts = ['turn' => $this->turn, 'chroma' => $this->chroma, 'light' => $this->light];

        return ['hues' => $this->hues, ...array_filter($parts, static fn (float $value, string $part): bool => $value !== self::PARTS[$part][2], ARRAY_FILTER_USE_BOTH)];
    }

    public function isNothing(): bool
    {
        return $this->turn === 0.0 && $this->chroma === 1.0 && $this->light === 0.0;
    }

    /** How much of a hue lies in it, 0..1; a shoulder of no width is a step that includes its limit. */
    public function weight(float $hue): float
    {
        [$first, $second, $third, $fourth] = $this->hues;
        $at = $first + fmod(fmod($hue - $first, 360.0) + 360.0, 360.0);

        return match (true) {
            $at < $second => 1.0 - self::falling(($at - $first) / ($second - $first)),
            $at <= $third => 1.0,
            $at < $fourth => self::falling(($at - $third) / ($fourth - $third)),
            default => 0.0,
        };
    }

    /** What is left on the way down a shoulder, 0..1 of it. */
    public static function falling(float $way): float
    {
        return 0.5 + 0.5 * cos(3.141592653589793 * $way);
    }

    /**
     * @return array{float, float, float, float}
     *
     * @throws SceneError naming $field
     */
    private static function limits(mixed $raw, string $field): array
    {
        $isFour = is_array($raw) && array_is_list($raw) && count($raw) === 4;
        $numbers = $isFour ? array_values(array_filter($raw, static fn (mixed $hue): bool => (is_int($hue) || is_float($hue)) && is_finite($hue))) : [];
        [$first, $second, $third, $fourth] = array_map(floatval(...), $numbers) + [-1.0, -1.0, -1.0, -1.0];
        $rises = $first >= 0.0 && $first < 360.0 && $first <= $second && $second <= $third && $third <= $fourth && $fourth - $first <= 360.0;

        return $rises ? [$first, $second, $third, $fourth]
            : throw SceneError::expected($field, 'four degrees that go round: the first from 0 and below 360, none before the one before it, at most 360 in all', $raw);
    }
}
