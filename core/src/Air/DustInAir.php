<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\LooksBelow;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Texture\Dust;
use Aumbrel\Core\Texture\Noised;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Specks in the air, near ones large and out of focus: plain, or seen only where a light falls. */
final readonly class DustInAir implements LooksBelow
{
    use Plain;

    private function __construct(private LitBy $lit, private Dust $dust)
    {
    }

    public static function key(): string
    {
        return 'dust';
    }

    public static function label(): string
    {
        return 'Dust';
    }

    public static function hint(): string
    {
        return 'Specks in the air, plain or only where a light falls';
    }

    public static function family(): Family
    {
        return Family::Air;
    }

    public static function parameters(): array
    {
        return [
            ...LitBy::parameters('#d9d4c8'),
            NumberValue::named('specks', 'Specks a megapixel', 'dust', Unit::None, 1, 20000, 500, 10),
            NumberValue::named('speckSize', 'Nearest', 'dust', Unit::Pixels, 0.4, 200, 8, 0.1)->says('How large the nearest specks are'),
            NumberValue::named('farSize', 'Furthest', 'dust', Unit::Pixels, 0.3, 100, 1.6, 0.1)->says('How large the furthest specks are'),
            NumberValue::named('outOfFocus', 'Out of focus', 'dust', Unit::Percent, 0, 100, 55),
            NumberValue::named('seed', 'Seed', 'dust', Unit::None, 0, 99999, 1),
        ];
    }

    public static function from(Values $values): self
    {
        $least = $values->number('farSize') / 2;

        return new self(LitBy::from($values), new Dust($values->number('specks'), $least, max($least, $values->number('speckSize') / 2), $values->number('outOfFocus') / 100, (int) $values->number('seed')));
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['speckSize' => round(max(1.0, 0.009 * $span), 1), 'farSize' => round(max(0.6, 0.0018 * $span), 1), 'specks' => round(max(1.0, min(20000.0, 500 * (1000 / $span) ** 2)))];
    }

    public static function placedAmount(): float
    {
        return 70.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Screen;
    }

    public function looksBelow(): bool
    {
        return false;
    }

    public function goesBy(): array
    {
        return $this->lit->goesBy();
    }

    public function layers(Site $site): array
    {
        return $this->lit->layers($site, fn (Field $field): Field => new Noised($field, $this->dust, 1.0));
    }
}
