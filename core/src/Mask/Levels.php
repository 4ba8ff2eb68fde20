<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** What of a brightness counts as black, and what as white. */
final readonly class Levels
{
    private const NEAREST = 0.01;

    /**
     * @param  float  $blacks  0..1
     * @param  float  $whites  0..1
     */
    private function __construct(private float $blacks, private float $whites)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            NumberValue::named('blacks', 'Blacks start at', 'falloff', Unit::Percent, 0, 95, 0),
            NumberValue::named('whites', 'Whites held at', 'falloff', Unit::Percent, 5, 100, 100),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('blacks') / 100, $values->number('whites') / 100);
    }

    public function problem(): ?string
    {
        return $this->whites - $this->blacks < self::NEAREST ? 'Its blacks start where its whites are held: bring them apart.' : null;
    }

    /** Writes a brightness with the blacks at 0 and the whites at 1; gives the variable that holds it. */
    public function write(KernelWriter $kernel, string $brightness): string
    {
        $toned = $kernel->variable('toned');
        $kernel->inline([self::class, 'toned'], ["({$brightness})", $kernel->number($this->blacks), $kernel->number(1 / ($this->whites - $this->blacks))], $toned);

        return $toned;
    }

    /** 0 at the blacks, 1 at the whites. */
    public static function toned(float $value, float $blacks, float $perRange): float
    {
        $toned = ($value - $blacks) * $perRange;

        return $toned > 0.0 ? ($toned < 1.0 ? $toned : 1.0) : 0.0;
    }
}
