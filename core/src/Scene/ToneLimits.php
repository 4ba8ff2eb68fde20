<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/**
 * The tones between which a strip acts: of the picture below it, or its own. Luma (Rec. 709 weights of encoded values, 0 where
 * nothing is) passes from one pair of limits to the other; between the two of a pair it comes and goes by smoothstep.
 */
final readonly class ToneLimits
{
    public const BELOW = 'below';

    public const ITSELF = 'itself';

    /** A shoulder of no width is a step that takes its own value in, with so much slack. */
    private const SLACK = 1e-6;

    private const STEEP = 1e9;

    /**
     * @param  array{float, float}  $darks  lo0 <= lo1, luma 0..1: nothing below the first, all from the second on; a second of 0 is no lower limit
     * @param  array{float, float}  $brights  hi0 <= hi1: all up to the first, nothing above the second; a first of 1 is no upper limit
     */
    private function __construct(public array $darks, public array $brights, public bool $ofItself)
    {
    }

    /** @throws SceneError naming the field: limits that are none, or that cross */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $darks = self::pair($fields->take('darks', [0, 0]), "{$field}.darks");
        $brights = self::pair($fields->take('brights', [1, 1]), "{$field}.brights");
        $of = $fields->take('of', self::BELOW);
        if (! in_array($of, [self::BELOW, self::ITSELF], true)) {
            throw SceneError::expected("{$field}.of", 'below or itself', $of);
        }
        if ($darks[1] > $brights[0]) {
            throw new SceneError($field, 'the limits cross: what is let in at the dark end must begin before it ends at the bright one');
        }

        return new self($darks, $brights, $of === self::ITSELF);
    }

    /** Every tone of the picture below. */
    public static function open(): self
    {
        return new self([0.0, 0.0], [1.0, 1.0], false);
    }

    /** Whether every tone passes. */
    public function isOpen(): bool
    {
        return $this->darks[1] <= 0.0 && $this->brights[0] >= 1.0;
    }

    /** @return array{darks: array{float, float}, brights: array{float, float}, of: string} */
    public function toArray(): array
    {
        return ['darks' => $this->darks, 'brights' => $this->brights, 'of' => $this->ofItself ? self::ITSELF : self::BELOW];
    }

    /** How much of a luma passes, 0..1. */
    public function at(float $luma): float
    {
        return self::share($luma, ...$this->numbers());
    }

    /** @return array{float, float, float, float} what {@see share()} goes by: where the lower shoulder begins and its slope, where the upper one ends and its slope */
    public function numbers(): array
    {
        [[$lo0, $lo1], [$hi0, $hi1]] = [$this->darks, $this->brights];

        return [
            ...($lo1 <= 0.0 ? [-1.0, self::STEEP] : ($lo1 - $lo0 < self::SLACK ? [$lo0 - self::SLACK, self::STEEP] : [$lo0, 1 / ($lo1 - $lo0)])),
            // values above 1 pass where there is no upper limit
            ...($hi0 >= 1.0 ? [1e6, self::STEEP] : ($hi1 - $hi0 < self::SLACK ? [$hi1 + self::SLACK, self::STEEP] : [$hi1, 1 / ($hi1 - $hi0)])),
        ];
    }

    public static function share(float $luma, float $from, float $up, float $to, float $down): float
    {
        $low = ($luma - $from) * $up;
        $low = $low > 0.0 ? ($low < 1.0 ? $low : 1.0) : 0.0;
        $high = ($to - $luma) * $down;
        $high = $high > 0.0 ? ($high < 1.0 ? $high : 1.0) : 0.0;

        return $low * $low * (3.0 - 2.0 * $low) * $high * $high * (3.0 - 2.0 * $high);
    }

    /**
     * @return array{float, float}
     *
     * @throws SceneError
     */
    private static function pair(mixed $raw, string $field): array
    {
        $numbers = is_array($raw) && array_is_list($raw) && count($raw) === 2 ? $raw : [null, null];
        [$from, $to] = $numbers;
        if ((! is_int($from) && ! is_float($from)) || (! is_int($to) && ! is_float($to)) || ! ($from >= 0 && $from <= $to && $to <= 1)) {
            throw SceneError::expected($field, 'two lumas from 0 to 1, the lower one first', $raw);
        }

        return [(float) $from, (float) $to];
    }
}
