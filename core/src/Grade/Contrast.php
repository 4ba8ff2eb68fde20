<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Contrasted;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Tones drawn apart about the middle, or together; black, the middle and white stay where they are ({@see Contrasted} has the formulas). */
final readonly class Contrast implements Grade, StripKind
{
    use RecoloursItself;

    /** @param  float  $contrast  -1..1 */
    private function __construct(private float $contrast)
    {
    }

    public static function key(): string
    {
        return 'contrast';
    }

    public static function label(): string
    {
        return 'Contrast';
    }

    public static function hint(): string
    {
        return 'Tones drawn apart, or together; black stays black';
    }

    public static function parameters(): array
    {
        return [NumberValue::named('contrast', 'Contrast', 'tone', Unit::Percent, -100, 100, 0)->says('Above 0 bright and dark go apart about the middle, below it they come together')];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('contrast') / 100);
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['contrast' => 20];
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        foreach ($this->contrast === 0.0 ? [] : $colour as $channel) {
            $this->contrast > 0
                ? Contrasted::writeHarder($kernel, $channel, 1 + 2 * $this->contrast, $channel)
                : $kernel->inline([Contrasted::class, 'softer'], [$channel, $kernel->number($this->contrast)], $channel);
        }
    }

    public function mayExceed(): bool
    {
        return false;
    }
}
