<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Ramp\ToneRamp;
use Aumbrel\Core\Value\ToneRampValue;
use Aumbrel\Core\Value\Values;

/** Each tone in the colour that a ramp has there; of encoded luma. */
final readonly class TonesToColours implements Grade, StripKind
{
    use RecoloursItself;

    /** Cool darks, a warm middle, pale lights. */
    private const START = [[0, '#0a0d1c'], [0.45, '#7a4a3a'], [0.8, '#e8b27a'], [1, '#fff4dd']];

    private function __construct(private ToneRamp $ramp)
    {
    }

    public static function key(): string
    {
        return 'tone ramp';
    }

    public static function label(): string
    {
        return 'Tones to colours';
    }

    public static function hint(): string
    {
        return 'Dark tones in one colour, bright ones in another';
    }

    public static function parameters(): array
    {
        return [ToneRampValue::named('ramp', 'Tones', 'tone', array_map(static fn (array $stop): array => ['offset' => $stop[0], 'colour' => $stop[1]], self::START))->says('The colour that each tone becomes, from black to white')];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('ramp', ToneRamp::class));
    }

    public static function placedAmount(): float
    {
        return 40.0;
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        $tone = $kernel->variable('tone');
        $kernel->inline([Luma::class, 'of'], $colour, $tone);
        $this->ramp->write($kernel, $tone, $colour);
    }

    public function mayExceed(): bool
    {
        return false;
    }
}
