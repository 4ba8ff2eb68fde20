<?php

declare(strict_types=1);

namespace Aumbrel\Core\Out;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Value\Values;

/** One grey under a strip, so that it can be told what of it is colour and what is cover. In no scene, and on no shelf. */
final readonly class EvenGround implements StripKind
{
    use Plain;

    private function __construct(private float $grey)
    {
    }

    /** @param  float  $grey  0 black, 1 white */
    public static function strip(float $grey): Strip
    {
        return new Strip('even-ground', 'Even ground', new self($grey), Values::read([], [], 'values'), BlendMode::Normal);
    }

    public static function key(): string
    {
        return 'even ground';
    }

    public static function label(): string
    {
        return 'Even ground';
    }

    public static function hint(): string
    {
        return '';
    }

    public static function family(): Family
    {
        return Family::Flat;
    }

    public static function parameters(): array
    {
        return [];
    }

    public static function from(Values $values): self
    {
        return new self(0.0);
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function layers(Site $site): array
    {
        return [new Layer(BlendMode::Normal, new Everywhere, OneColour::flat(new Rgb($this->grey, $this->grey, $this->grey)), new Amount(1.0))];
    }
}
