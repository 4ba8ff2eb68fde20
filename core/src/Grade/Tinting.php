<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\Values;

/** Everything in one hue and chroma, each tone as light as it was; its amount is mixed in Oklab. */
final readonly class Tinting implements LinearGrade, StripKind
{
    use RecoloursItself;
    use WorksInLinear;

    /** @param  float  $share  0..1 */
    private function __construct(private Rgb $colour, private float $share = 1.0)
    {
    }

    public static function key(): string
    {
        return 'tint';
    }

    public static function label(): string
    {
        return 'Tint';
    }

    public static function hint(): string
    {
        return 'One hue over everything, each tone as light as before';
    }

    public static function parameters(): array
    {
        return [FlatColourValue::named('colour', 'Colour', 'tone', '#c98a52')];
    }

    public static function from(Values $values): self
    {
        return new self(Rgb::fromHex($values->text('colour')));
    }

    public static function placedAmount(): float
    {
        return 35.0;
    }

    public function layers(Site $site): array
    {
        return [new Layer($site->mode(), new Everywhere, new Graded(new self($this->colour, $site->amount())), new Amount(1.0), recolours: true)];
    }

    public function isNone(): bool
    {
        return $this->share <= 0.0;
    }

    public function writeLinear(KernelWriter $kernel, array $colour): void
    {
        $linear = $this->colour->decoded();
        [, $a, $b] = Oklab::ofLinear($linear->red, $linear->green, $linear->blue);
        InOklab::move($kernel, $colour, 1 - $this->share, $this->share * $a, $this->share * $b);
    }

    public function mayExceed(): bool
    {
        return true;
    }
}
