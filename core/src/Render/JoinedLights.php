<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;

/**
 * A step of a plan that joins lights which lie one on the other into one: by what they multiply what is below, and what they
 * add to it, neither of which depends on what is below. While another strip is changed, that is kept.
 */
final readonly class JoinedLights implements PlanStep
{
    /** The lines, each followed by a channel: by what is multiplied, and what is added. */
    public const GAIN = 'gain';

    public const MORE = 'more';

    /**
     * @param  non-empty-list<Pass>  $passes  of one light each
     * @param  array<string, float>  $lines  what they make of the row, and what that is where there is no light
     */
    public function __construct(public array $passes, public array $lines)
    {
    }

    /**
     * The lines that lights of these modes need, with their values where there is no light.
     *
     * @param  list<BlendMode>  $modes
     * @return array<string, float>
     */
    public static function linesOf(array $modes): array
    {
        $lines = [];
        foreach (['r', 'g', 'b'] as $channel) {
            $lines += in_array(BlendMode::Illuminate, $modes, true) ? [self::GAIN.$channel => 1.0] : [];
            $lines += in_array(BlendMode::Airlight, $modes, true) ? [self::MORE.$channel => 0.0] : [];
        }

        return $lines;
    }

    public function key(): string
    {
        return implode(' ', [...array_map(static fn (Pass $pass): string => $pass->key(), $this->passes), ...array_keys($this->lines)]);
    }

    public function extents(): ?array
    {
        $all = [];
        foreach ($this->passes as $pass) {
            if ($pass->extent === null) {
                return null;
            }
            $all[] = $pass->extent;
        }

        return $all;
    }
}
