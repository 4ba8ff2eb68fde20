<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Power;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Which tones become black and white, where the middle lies between, and how far black and white reach then; of encoded values. */
final readonly class Levels implements Grade, StripKind
{
    use RecoloursItself;

    private const CHANNELS = ['all', 'red', 'green', 'blue'];

    /** White lies at least this far above black. */
    private const NEAREST = 0.01;

    /**
     * @param  string  $of  a channel, or all
     * @param  float  $inBlack  0..1
     * @param  float  $inWhite  0..1
     * @param  float  $middle  gamma, above 0
     * @param  float  $outBlack  0..1
     * @param  float  $outWhite  0..1
     */
    private function __construct(private string $of, private float $inBlack, private float $inWhite, private float $middle, private float $outBlack, private float $outWhite)
    {
    }

    public static function key(): string
    {
        return 'levels';
    }

    public static function label(): string
    {
        return 'Levels';
    }

    public static function hint(): string
    {
        return 'Where black and white begin, and the middle between';
    }

    public static function parameters(): array
    {
        return [
            NumberValue::named('inBlack', 'Black up to', 'tone', Unit::Percent, 0, 99, 0, 0.5)->says('Tones up to here become black'),
            NumberValue::named('inWhite', 'White from', 'tone', Unit::Percent, 1, 100, 100, 0.5)->says('Tones from here on become white'),
            NumberValue::named('middle', 'Middle', 'tone', Unit::Factor, 0.1, 5, 1, 0.05)->says('Above 1 the tones between become brighter, below it darker'),
            NumberValue::named('outBlack', 'Black becomes', 'ends', Unit::Percent, 0, 100, 0, 0.5)->says('How bright black is afterwards'),
            NumberValue::named('outWhite', 'White becomes', 'ends', Unit::Percent, 0, 100, 100, 0.5)->says('How bright white is afterwards'),
            ChoiceValue::named('of', 'Of', 'ends', self::CHANNELS, self::CHANNELS[0])->says('All three channels alike, or one of them alone, which tints'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->text('of'), $values->number('inBlack') / 100, $values->number('inWhite') / 100, $values->number('middle'), $values->number('outBlack') / 100, $values->number('outWhite') / 100);
    }

    /** A little denser, so that it is seen what it does. */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['inBlack' => 4, 'inWhite' => 94];
    }

    public function check(BlendMode $mode): void
    {
        if ($this->inWhite - $this->inBlack < self::NEAREST - 1e-9) {
            throw new SceneError('inWhite', 'white must begin at least 1 % above where black ends');
        }
    }

    /** What becomes of one encoded value, written plainly; kernels run the same. */
    public function of(float $value): float
    {
        return $this->outBlack + max(0.0, ($value - $this->inBlack) / ($this->inWhite - $this->inBlack)) ** (1 / $this->middle) * ($this->outWhite - $this->outBlack);
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        foreach ($colour as $at => $channel) {
            if ($this->of !== self::CHANNELS[0] && $this->of !== self::CHANNELS[$at + 1]) {
                continue;
            }
            $kernel->line("{$channel} = ({$channel} - {$kernel->number($this->inBlack)}) * {$kernel->number(1 / ($this->inWhite - $this->inBlack))}; if ({$channel} < 0.0) { {$channel} = 0.0; }");
            if (abs($this->middle - 1.0) > 1e-9) {
                Power::write($kernel, $channel, 1 / $this->middle, $channel);
            }
            if ($this->outBlack !== 0.0 || $this->outWhite !== 1.0) {
                $kernel->line("{$channel} = {$kernel->number($this->outBlack)} + {$channel} * {$kernel->number($this->outWhite - $this->outBlack)}; if ({$channel} < 0.0) { {$channel} = 0.0; }");
            }
        }
    }

    public function mayExceed(): bool
    {
        return $this->inWhite < 1.0;
    }
}
