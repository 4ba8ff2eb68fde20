<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\StripMask;
use Aumbrel\Core\Value\StripValue;
use Aumbrel\Core\Value\Values;

/** How bright a strip is by itself, or the picture below, between what counts as black and what counts as white. */
final readonly class BrightnessMask implements StripMask
{
    private function __construct(private ?string $of, private Levels $levels)
    {
    }

    public static function key(): string
    {
        return 'brightness';
    }

    public static function label(): string
    {
        return 'Brightness';
    }

    public static function grounds(): array
    {
        return [Ground::Scene];
    }

    public static function parameters(): array
    {
        return [StripValue::optional('of', 'Of', 'falloff', 'the picture below'), ...Levels::parameters()];
    }

    public static function from(Values $values): self
    {
        return new self($values->optionalText('of'), Levels::from($values));
    }

    /** A new one lets the highlights of the picture through. */
    public static function placed(Point $centre, float $span): array
    {
        return ['blacks' => 45, 'whites' => 85];
    }

    public function of(): ?string
    {
        return $this->of;
    }

    public function problem(): ?string
    {
        return $this->levels->problem();
    }

    /** Of what is not there nothing is bright. */
    public function write(KernelWriter $kernel, Window $window): string
    {
        return $this->writeBright($kernel, '0.0');
    }

    public function writeBright(KernelWriter $kernel, string $brightness): string
    {
        return $this->levels->write($kernel, $brightness);
    }
}
