<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/** Stretches of hues, each with what becomes of it; where they overlap what they do adds up. */
final readonly class HueStretches
{
    /** So many tell every hue of a picture apart. */
    public const MOST = 12;

    /** Where hues that have a name lie, degrees of Oklab's hue. */
    public const NAMED = ['red' => 29.0, 'orange' => 53.0, 'yellow' => 110.0, 'green' => 142.0, 'cyan' => 195.0, 'blue' => 264.0, 'violet' => 294.0, 'magenta' => 328.0];

    /** A turn that falls by more than so many degrees to a degree of hue brings hues out of their order. */
    private const STEEPEST = 0.3 * M_PI;

    /** @param  list<HueStretch>  $all */
    private function __construct(public array $all)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /**
     * A list of stretches; or, as scenes had it first, an object of named hues, each a stretch from the one before it to the next.
     *
     * @throws SceneError naming $field
     */
    public static function read(mixed $raw, string $field): self
    {
        if (is_array($raw) && $raw !== [] && ! array_is_list($raw)) {
            return self::named($raw, $field);
        }
        if (! is_array($raw) || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'a list of 0 to '.self::MOST.' stretches of hues', $raw);
        }

        return new self(array_map(static fn (mixed $one, int $at): HueStretch => HueStretch::read($one, "{$field}.{$at}"), array_values($raw), array_keys(array_values($raw))));
    }

    /**
     * @param  array<mixed>  $raw
     *
     * @throws SceneError naming $field
     */
    private static function named(array $raw, string $field): self
    {
        if (array_diff(array_keys($raw), array_keys(self::NAMED)) !== []) {
            throw SceneError::expected($field, 'a list of stretches of hues, or an object of '.implode(', ', array_keys(self::NAMED)), $raw);
        }
        $middles = array_values(self::NAMED);
        $all = [];
        foreach (array_keys(self::NAMED) as $at => $name) {
            $stretch = HueStretch::of(self::round($middles[($at + 7) % 8], $middles[$at], $middles[($at + 1) % 8]), new Fields($raw[$name] ?? [], "{$field}.{$name}"));
            if (! $stretch->isNothing()) {
                $all[] = $stretch;
            }
        }

        return new self($all);
    }

    /** @return array{float, float, float, float} from one hue over another to a third, the way round */
    private static function round(float $before, float $middle, float $after): array
    {
        $middle += $middle < $before ? 360.0 : 0.0;
        $after += $after < $middle ? 360.0 * (1 + floor(($middle - $after) / 360.0)) : 0.0;

        return [$before, $middle, $middle, $after];
    }

    /** @return list<array<string, float|list<float>>> */
    public function toArray(): array
    {
        return array_map(static fn (HueStretch $one): array => $one->toArray(), $this->all);
    }

    /** @return list<HueStretch> those that change something */
    public function active(): array
    {
        return array_values(array_filter($this->all, static fn (HueStretch $one): bool => ! $one->isNothing()));
    }

    public function turns(): bool
    {
        return array_filter($this->all, static fn (HueStretch $one): bool => $one->turn !== 0.0) !== [];
    }

    /** How far a hue is turned, degrees. */
    public function turnAt(float $hue): float
    {
        return array_sum(array_map(static fn (HueStretch $one): float => $one->turn * $one->weight($hue), $this->all));
    }

    /** Where hues change their order, in a sentence; null where none do. */
    public function crossing(): ?string
    {
        if (! $this->turns()) {
            return null;
        }
        [$steepest, $where] = [self::STEEPEST, null];
        for ($hue = 0.25; $hue < 360.0; $hue += 0.5) {
            $falls = ($this->turnAt($hue - 0.25) - $this->turnAt($hue + 0.25)) / 0.5;
            [$steepest, $where] = $falls > $steepest ? [$falls, $hue] : [$steepest, $where];
        }

        return $where === null ? null : sprintf('%s and %s turn past each other: hues between them change their order', ...self::between($where));
    }

    /** @return array{string, string} the named hues that a hue lies between, as a sentence begins with them */
    private static function between(float $hue): array
    {
        $names = array_keys(self::NAMED);
        $after = count(array_filter(self::NAMED, static fn (float $middle): bool => $middle <= $hue)) % 8;

        return [ucfirst($names[($after + 7) % 8]), $names[$after]];
    }
}
