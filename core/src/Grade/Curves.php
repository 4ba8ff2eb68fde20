<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Ramp\ToneCurve;
use Aumbrel\Core\Value\CurveValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** What becomes of each tone: of all channels, then of red, green and blue apart, then of luma; of encoded values. */
final readonly class Curves implements Grade, StripKind
{
    use RecoloursItself;

    /** Luma below which it cannot be multiplied. */
    private const BLACK = 1e-6;

    /**
     * @param  array{ToneCurve, ToneCurve, ToneCurve}  $each
     * @param  float  $swing  how far the luma curve is one of each channel, 0..1
     */
    private function __construct(private ToneCurve $all, private array $each, private ToneCurve $luma, private float $swing)
    {
    }

    public static function key(): string
    {
        return 'curve';
    }

    public static function label(): string
    {
        return 'Curve';
    }

    public static function hint(): string
    {
        return 'Single tones raised or lowered, in all or one colour';
    }

    public static function parameters(): array
    {
        return [
            CurveValue::named('all', 'Tones', 'tone')->says('What becomes of each tone: red, green and blue alike'),
            CurveValue::named('luma', 'Brightness', 'brightness')->says('What becomes of how bright a place is, its colour kept'),
            NumberValue::named('swing', 'Colour swings along', 'brightness', Unit::Percent, 0, 100, 0)->says('How far colours get richer where contrast grows, as by a curve of all channels'),
            CurveValue::named('red', 'Red', 'channels')->says('What becomes of red alone: warmer or cooler in some tones'),
            CurveValue::named('green', 'Green', 'channels')->says('What becomes of green alone'),
            CurveValue::named('blue', 'Blue', 'channels')->says('What becomes of blue alone: warmer or cooler in some tones'),
        ];
    }

    public static function from(Values $values): self
    {
        $curve = static fn (string $name): ToneCurve => $values->object($name, ToneCurve::class);

        return new self($curve('all'), [$curve('red'), $curve('green'), $curve('blue')], $curve('luma'), $values->number('swing') / 100);
    }

    /** Darker shadows, brighter lights, a little. */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['all' => [[0, 0], [0.25, 0.2], [0.7, 0.75], [1, 1]]];
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        foreach ($colour as $at => $channel) {
            foreach ([$this->all, $this->each[$at]] as $curve) {
                if (! $curve->isStraight()) {
                    $curve->write($kernel, $channel, $channel);
                }
            }
        }
        if (! $this->luma->isStraight()) {
            $this->writeLuma($kernel, $colour);
        }
    }

    public function mayExceed(): bool
    {
        return ! $this->luma->isStraight();
    }

    /**
     * Lowered tones are multiplied and raised ones added to, so that neither burns.
     *
     * @param  array{string, string, string}  $colour
     */
    private function writeLuma(KernelWriter $kernel, array $colour): void
    {
        [$luma, $after, $times, $plus, $own] = array_map($kernel->variable(...), ['luma', 'after', 'times', 'plus', 'own']);
        $kernel->inline([Luma::class, 'of'], $colour, $luma);
        $this->luma->write($kernel, $luma, $after);
        $kernel->line("if ({$after} > {$luma} || {$luma} < {$kernel->number(self::BLACK)}) { {$times} = 1.0; {$plus} = {$after} - {$luma}; } else { {$times} = {$after} / {$luma}; {$plus} = 0.0; }");
        foreach ($colour as $channel) {
            if ($this->swing > 0.0) {
                $this->luma->write($kernel, $channel, $own);
                $kernel->line("{$channel} = {$kernel->number(1 - $this->swing)} * ({$channel} * {$times} + {$plus}) + {$kernel->number($this->swing)} * {$own};");
            } else {
                $kernel->line("{$channel} = {$channel} * {$times} + {$plus};");
            }
        }
    }
}
