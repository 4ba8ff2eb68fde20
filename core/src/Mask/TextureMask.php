<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\PictureMask;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Texture\Sheet;
use Aumbrel\Core\Texture\Texture;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** The brightness of a texture of the shelf, or of a picture, between what counts as black and what counts as white. */
final readonly class TextureMask implements PictureMask
{
    public function __construct(private Sheet $sheet, private float $blacks, private float $whites)
    {
    }

    public static function key(): string
    {
        return 'texture';
    }

    public static function label(): string
    {
        return 'Texture';
    }

    public static function grounds(): array
    {
        return [Ground::Scene];
    }

    public static function parameters(): array
    {
        return [
            ...Sheet::parameters('falloff', 'falloff', Texture::Clouds),
            NumberValue::named('blacks', 'Blacks start at', 'falloff', Unit::Percent, 0, 95, 0),
            NumberValue::named('whites', 'Whites held at', 'falloff', Unit::Percent, 5, 100, 100),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(Sheet::from($values), $values->number('blacks') / 100, $values->number('whites') / 100);
    }

    public static function placed(Point $centre, float $span): array
    {
        return Sheet::placed($centre, $span);
    }

    public function problem(): ?string
    {
        return match (true) {
            $this->sheet->lacksPicture() => 'No picture is chosen for this texture.',
            $this->whites - $this->blacks < 0.01 => 'Its blacks start where its whites are held: bring them apart.',
            default => null,
        };
    }

    /** 0 at the blacks, 1 at the whites. */
    public static function toned(float $value, float $blacks, float $perRange): float
    {
        $toned = ($value - $blacks) * $perRange;

        return $toned > 0.0 ? ($toned < 1.0 ? $toned : 1.0) : 0.0;
    }

    public function picture(): ?string
    {
        return $this->sheet->texture === Texture::Picture ? $this->sheet->picture : null;
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return $this->writeOf($kernel, $window, null);
    }

    /** A picture that is gone masks nothing. */
    public function writeOf(KernelWriter $kernel, Window $window, ?PictureSource $picture): string
    {
        $brightness = $this->sheet->brightness($picture);
        if ($brightness === null) {
            return '1.0';
        }
        $toned = $kernel->variable('toned');
        $kernel->inline([self::class, 'toned'], ["({$brightness->write($kernel, $window)})", $kernel->number($this->blacks), $kernel->number(1 / ($this->whites - $this->blacks))], $toned);

        return $toned;
    }
}
