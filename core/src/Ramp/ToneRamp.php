<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelWriter;
use InvalidArgumentException;

/**
 * Tones to colours: stops of offset and colour, mixed as they are stored (encoded); the ends hold.
 *
 * A midpoint belongs to the stretch after its stop and bends t to t^(ln 0.5 / ln H), as in {@see Stops}. Two stops at one
 * offset make a step, at which the later one holds.
 */
final readonly class ToneRamp
{
    public const MOST = 32;

    /** @param  non-empty-list<array{offset: float, colour: Rgb, midpoint: float}>  $stops */
    private function __construct(public array $stops)
    {
    }

    /** From black to a colour, which keeps black black. */
    public static function toward(Rgb $colour): self
    {
        return new self([['offset' => 0.0, 'colour' => new Rgb(0, 0, 0), 'midpoint' => 0.5], ['offset' => 1.0, 'colour' => $colour, 'midpoint' => 0.5]]);
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || $raw === [] || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'a list of 1 to '.self::MOST.' stops', $raw);
        }
        $stops = [];
        $last = 0.0;
        foreach ($raw as $at => $stop) {
            if (! is_array($stop)) {
                throw SceneError::expected("{$field}[{$at}]", 'an object {offset, colour}', $stop);
            }
            $offset = Stops::share($stop['offset'] ?? null, "{$field}[{$at}].offset", 0, 1);
            if ($offset < $last) {
                throw SceneError::expected("{$field}[{$at}].offset", "an offset not before the last one ({$last})", $offset);
            }
            $last = $offset;
            $stops[] = ['offset' => $offset, 'colour' => self::colour($stop['colour'] ?? null, "{$field}[{$at}].colour"), 'midpoint' => Stops::share($stop['midpoint'] ?? 0.5, "{$field}[{$at}].midpoint", 0.01, 0.99)];
        }

        return new self($stops);
    }

    /** The colour of a tone, written plainly; kernels write the same as branches. */
    public function colourAt(float $tone): Rgb
    {
        $last = $this->stops[0];
        foreach ($this->stops as $stop) {
            if ($tone < $stop['offset']) {
                if ($stop['offset'] <= $last['offset'] || $tone < $last['offset']) {
                    return $last['colour'];
                }
                $share = (($tone - $last['offset']) / ($stop['offset'] - $last['offset'])) ** Stops::bend($last['midpoint']);
                $mix = static fn (float $from, float $to): float => $from + $share * ($to - $from);

                return new Rgb($mix($last['colour']->red, $stop['colour']->red), $mix($last['colour']->green, $stop['colour']->green), $mix($last['colour']->blue, $stop['colour']->blue));
            }
            $last = $stop;
        }

        return $last['colour'];
    }

    /**
     * Writes the colour of the tone in the variable $tone into three variables.
     *
     * @param  array{string, string, string}  $into
     */
    public function write(KernelWriter $kernel, string $tone, array $into): void
    {
        $share = $kernel->variable('share');
        $set = static function (Rgb $colour) use ($kernel, $into): string {
            return implode(' ', array_map(static fn (string $channel, float $value): string => "{$channel} = {$kernel->number($value)};", $into, [$colour->red, $colour->green, $colour->blue]));
        };
        $last = null;
        foreach ($this->stops as $stop) {
            if ($last === null) {
                $kernel->line("if ({$tone} < {$kernel->number($stop['offset'])}) { {$set($stop['colour'])} }");
            } elseif ($stop['offset'] > $last['offset']) {
                $kernel->line("elseif ({$tone} < {$kernel->number($stop['offset'])}) {");
                $kernel->line("{$share} = ({$tone} - {$kernel->number($last['offset'])}) * {$kernel->number(1 / ($stop['offset'] - $last['offset']))};");
                if (abs($last['midpoint'] - 0.5) > 1e-9) {
                    $kernel->line("{$share} = {$share} ** {$kernel->number(Stops::bend($last['midpoint']))};");
                }
                foreach ([['red', 0], ['green', 1], ['blue', 2]] as [$channel, $at]) {
                    $from = $last['colour']->{$channel};
                    $kernel->line("{$into[$at]} = {$kernel->number($from)} + {$share} * {$kernel->number($stop['colour']->{$channel} - $from)};");
                }
                $kernel->line('}');
            }
            $last = $stop;
        }
        $kernel->line("else { {$set($last['colour'])} }");
    }

    /** @return list<array{offset: float, colour: string, midpoint: float}> */
    public function toArray(): array
    {
        return array_map(static fn (array $stop): array => ['offset' => $stop['offset'], 'colour' => $stop['colour']->toHex(), 'midpoint' => $stop['midpoint']], $this->stops);
    }

    private static function colour(mixed $raw, string $field): Rgb
    {
        try {
            return Rgb::fromHex(is_string($raw) ? $raw : '');
        } catch (InvalidArgumentException) {
            throw SceneError::expected($field, 'a colour #rrggbb', $raw);
        }
    }
}
