<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/** What becomes of each family of hues: how far it turns, how many times as rich it gets, how much lighter. */
final readonly class HueBands
{
    /** The middles of the bands, degrees of Oklab's hue. */
    public const MIDDLES = ['red' => 29.0, 'orange' => 53.0, 'yellow' => 110.0, 'green' => 142.0, 'cyan' => 195.0, 'blue' => 264.0, 'violet' => 294.0, 'magenta' => 328.0];

    /** What a band can have: least, most, and what changes nothing. */
    public const PARTS = ['turn' => [-90.0, 90.0, 0.0], 'chroma' => [0.0, 2.0, 1.0], 'light' => [-100.0, 100.0, 0.0]];

    /** Neighbours that turn toward each other by more of what lies between them change places. */
    private const CROSSING = 0.6;

    /** @param  array<string, array{turn: float, chroma: float, light: float}>  $bands  by name, all of them, in order of hue */
    private function __construct(public array $bands)
    {
    }

    public static function none(): self
    {
        return new self(array_fill_keys(array_keys(self::MIDDLES), self::nothing()));
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ($raw !== [] && array_is_list($raw)) || array_diff(array_keys($raw), array_keys(self::MIDDLES)) !== []) {
            throw SceneError::expected($field, 'an object of bands, each of '.implode(', ', array_keys(self::MIDDLES)), $raw);
        }
        $bands = [];
        foreach (array_keys(self::MIDDLES) as $name) {
            $fields = new Fields($raw[$name] ?? [], "{$field}.{$name}");
            $number = static fn (string $part): float => $fields->number($part, self::PARTS[$part][2], self::PARTS[$part][0], self::PARTS[$part][1], '');
            $bands[$name] = ['turn' => $number('turn'), 'chroma' => $number('chroma'), 'light' => $number('light')];
        }

        return new self($bands);
    }

    /** @return array<string, array<string, float>> only what differs */
    public function toArray(): array
    {
        return array_filter(array_map(static fn (array $band): array => array_filter($band, static fn (float $value, string $part): bool => $value !== self::PARTS[$part][2], ARRAY_FILTER_USE_BOTH), $this->bands));
    }

    public function isNone(): bool
    {
        return array_filter($this->bands, static fn (array $band): bool => ! self::isNothing($band)) === [];
    }

    /**
     * Whether a band changes nothing.
     *
     * @param  array{turn: float, chroma: float, light: float}  $band
     */
    public static function isNothing(array $band): bool
    {
        return $band === self::nothing();
    }

    /** @return array{turn: float, chroma: float, light: float} a band that changes nothing */
    private static function nothing(): array
    {
        return array_map(static fn (array $part): float => $part[2], self::PARTS);
    }

    public function turns(): bool
    {
        return array_filter($this->bands, static fn (array $band): bool => $band['turn'] !== 0.0) !== [];
    }

    /**
     * Each band and the next one, all the way round.
     *
     * @return list<array{from: float, to: float, before: array{turn: float, chroma: float, light: float}, after: array{turn: float, chroma: float, light: float}, names: array{string, string}}> from below 0 on, in degrees
     */
    public function stretches(): array
    {
        $names = array_keys(self::MIDDLES);
        $stretches = [];
        foreach ($names as $at => $name) {
            $next = $names[($at + 1) % count($names)];
            $to = self::MIDDLES[$next] + ($at + 1 === count($names) ? 360.0 : 0.0);
            $stretches[] = ['from' => self::MIDDLES[$name], 'to' => $to, 'before' => $this->bands[$name], 'after' => $this->bands[$next], 'names' => [$name, $next]];
        }

        return $stretches;
    }

    /** The band whose middle is nearest to a linear colour's hue. */
    public static function nearest(Rgb $linear): string
    {
        [, $a, $b] = Oklab::ofLinear($linear->red, $linear->green, $linear->blue);
        $hue = rad2deg(atan2($b, $a));
        $away = array_map(static fn (float $middle): float => abs(fmod($hue - $middle + 900.0, 360.0) - 180.0), self::MIDDLES);

        return (string) array_search(min($away), $away, true);
    }

    /** Which neighbours change places, in a sentence; null where none do. */
    public function crossing(): ?string
    {
        foreach ($this->stretches() as ['from' => $from, 'to' => $to, 'before' => $before, 'after' => $after, 'names' => $names]) {
            if (self::CROSSING * ($to - $from) < $before['turn'] - $after['turn']) {
                return sprintf('%s and %s turn past each other: hues between them change their order', ucfirst($names[0]), $names[1]);
            }
        }

        return null;
    }
}
