<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Transfer;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * The base exposure, in this order: tones up to where blacks start become black (`(v - b) / (1 - b)`, encoded), exposure in
 * stops on linear light, colour drained toward the luma of encoded values, white lowered to where whites are held (encoded).
 */
final readonly class BaseTone implements Grade
{
    /**
     * @param  float  $drained  0..1
     * @param  float  $whitesHeldAt  0..1
     * @param  float  $blacksStartAt  0..0.95
     */
    public function __construct(public float $stops = 0.0, public float $drained = 0.0, public float $whitesHeldAt = 1.0, public float $blacksStartAt = 0.0)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            NumberValue::named('exposure', 'Exposure', 'base', Unit::Stops, -6, 6, 0, 0.1),
            NumberValue::named('drained', 'Drained colour', 'base', Unit::Percent, 0, 100, 0),
            NumberValue::named('whitesHeldAt', 'Whites held at', 'base', Unit::Percent, 0, 100, 100)->formerly('whiteOutput'),
            NumberValue::named('blacksStartAt', 'Blacks start at', 'base', Unit::Percent, 0, 95, 0)->formerly('blackInput'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('exposure'), $values->number('drained') / 100, $values->number('whitesHeldAt') / 100, $values->number('blacksStartAt') / 100);
    }

    public function isNone(): bool
    {
        return $this == new self;
    }

    /** Whether it can bring values above 1. */
    public function mayExceed(): bool
    {
        return $this->stops > 0;
    }

    /**
     * @param  array{float, float, float}  $colour  encoded
     * @return array{float, float, float}
     */
    public function of(array $colour): array
    {
        $out = array_map(fn (float $value): float => Srgb::encode(Srgb::decode(max(0.0, ($value - $this->blacksStartAt) / (1 - $this->blacksStartAt))) * 2 ** $this->stops), $colour);
        $luma = Luma::of(...$out);

        return array_map(fn (float $value): float => ($value + $this->drained * ($luma - $value)) * $this->whitesHeldAt, $out);
    }

    /**
     * Writes the same for kernels.
     *
     * @param  array{string, string, string}  $colour  variables, changed in place
     */
    public function write(KernelWriter $kernel, array $colour): void
    {
        if ($this->blacksStartAt > 0) {
            $black = $kernel->number($this->blacksStartAt);
            $rest = $kernel->number(1 / (1 - $this->blacksStartAt));
            foreach ($colour as $channel) {
                $kernel->line("{$channel} = ({$channel} - {$black}) * {$rest}; if ({$channel} < 0.0) { {$channel} = 0.0; }");
            }
        }
        if ($this->stops != 0.0) {
            $gain = $kernel->number(2 ** $this->stops);
            foreach ($colour as $channel) {
                $kernel->inline([Transfer::class, 'decode'], [$channel], $channel);
                $kernel->line("{$channel} *= {$gain};");
                $kernel->inline([Transfer::class, 'encode'], [$channel], $channel);
            }
        }
        if ($this->drained > 0) {
            $luma = $kernel->variable('luma');
            $drained = $kernel->number($this->drained);
            $kernel->inline([Luma::class, 'of'], $colour, $luma);
            foreach ($colour as $channel) {
                $kernel->line("{$channel} += {$drained} * ({$luma} - {$channel});");
            }
        }
        if ($this->whitesHeldAt < 1) {
            $white = $kernel->number($this->whitesHeldAt);
            foreach ($colour as $channel) {
                $kernel->line("{$channel} *= {$white};");
            }
        }
    }
}
