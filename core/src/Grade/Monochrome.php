<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** All colours as greys: so much of each channel, encoded; the shares need not come to one. */
final readonly class Monochrome implements Grade, StripKind
{
    use RecoloursItself;

    private function __construct(private float $red, private float $green, private float $blue)
    {
    }

    public static function key(): string
    {
        return 'monochrome';
    }

    public static function label(): string
    {
        return 'Monochrome';
    }

    public static function hint(): string
    {
        return 'Colours as greys, so much of each channel';
    }

    /** As bright as colours look (Rec. ITU-R BT.709). */
    public static function parameters(): array
    {
        return [
            NumberValue::named('red', 'Red', 'tone', Unit::Percent, -200, 300, 21)->says('How much of red the grey has: with more of it skin and fire become lighter'),
            NumberValue::named('green', 'Green', 'tone', Unit::Percent, -200, 300, 72)->says('How much of green the grey has'),
            NumberValue::named('blue', 'Blue', 'tone', Unit::Percent, -200, 300, 7)->says('How much of blue the grey has: with less of it skies become darker'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('red') / 100, $values->number('green') / 100, $values->number('blue') / 100);
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        [$red, $green, $blue] = $colour;
        $grey = $kernel->variable('grey');
        $kernel->line("{$grey} = {$kernel->number($this->red)} * {$red} + {$kernel->number($this->green)} * {$green} + {$kernel->number($this->blue)} * {$blue};");
        $kernel->line("if ({$grey} < 0.0) { {$grey} = 0.0; } {$red} = {$grey}; {$green} = {$grey}; {$blue} = {$grey};");
    }

    public function mayExceed(): bool
    {
        return max(0.0, $this->red) + max(0.0, $this->green) + max(0.0, $this->blue) > 1.0 + 1e-9;
    }
}
