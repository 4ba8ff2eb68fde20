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
use Aumbrel\Core\Value\Values;

/** The brightness of a texture of the shelf, or of a picture, between what counts as black and what counts as white. */
final readonly class TextureMask implements PictureMask
{
    public function __construct(private Sheet $sheet, private Levels $levels)
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
            ...Levels::parameters(),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(Sheet::from($values), Levels::from($values));
    }

    public static function placed(Point $centre, float $span): array
    {
        // the middle of its clouds is drawn out: a shape that is seen to be one
        return [...Sheet::placed($centre, $span), 'blacks' => 5, 'whites' => 50];
    }

    public function problem(): ?string
    {
        return $this->sheet->lacksPicture() ? 'No picture is chosen for this texture.' : $this->levels->problem();
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

        return $this->levels->write($kernel, $brightness->write($kernel, $window));
    }
}
