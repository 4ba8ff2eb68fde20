<?php

declare(strict_types=1);

namespace Aumbrel\Core\Blend;

/**
 * How a strip joins what lies below: the modes of W3C Compositing and Blending Level 1, and three of our own.
 */
enum BlendMode: string
{
    case Normal = 'normal';
    case Multiply = 'multiply';
    case Screen = 'screen';
    case Overlay = 'overlay';
    case Darken = 'darken';
    case Lighten = 'lighten';
    case ColorDodge = 'color dodge';
    case ColorBurn = 'color burn';
    case HardLight = 'hard light';
    case SoftLight = 'soft light';
    case Difference = 'difference';
    case Exclusion = 'exclusion';
    case Hue = 'hue';
    case Saturation = 'saturation';
    case Color = 'color';
    case Luminosity = 'luminosity';
    case Add = 'add';
    case Kindle = 'kindle';
    case Illuminate = 'illuminate';
    case Airlight = 'airlight';

    /**
     * The modes by what they do, in the order in which they are shown side by side.
     *
     * @return array<string, list<self>>
     */
    public static function byWhatTheyDo(): array
    {
        return [
            'covers' => [self::Normal],
            'lifts everything' => [self::Screen, self::Add, self::Lighten, self::HardLight],
            'keeps blacks' => [self::Overlay, self::SoftLight, self::ColorDodge],
            'darkens' => [self::Multiply, self::Darken, self::ColorBurn],
            'colour only' => [self::Color, self::Hue, self::Saturation, self::Luminosity],
            'turns tones over' => [self::Difference, self::Exclusion],
            'our own' => [self::Illuminate, self::Airlight, self::Kindle],
        ];
    }

    /** Light is joined in linear values, everything else in encoded ones. */
    public function isLinear(): bool
    {
        return $this === self::Illuminate || $this === self::Airlight;
    }

    /** Whether nothing comes out darker than it was. */
    public function onlyBrightens(): bool
    {
        return in_array($this, [self::Screen, self::Add, self::Lighten, self::ColorDodge, self::Airlight, self::Kindle], true);
    }

    /** Whether a result may lie above 1 where nothing below or above did. */
    public function mayExceed(): bool
    {
        return $this->isLinear();
    }

    /**
     * The formula B(below, source) of one channel, for modes that treat channels apart.
     *
     * @return array{class-string, string}|null
     */
    public function perChannel(): ?array
    {
        return match ($this) {
            self::Multiply => [ChannelBlend::class, 'multiply'],
            self::Screen => [ChannelBlend::class, 'screen'],
            self::Overlay => [ChannelBlend::class, 'overlay'],
            self::Darken => [ChannelBlend::class, 'darken'],
            self::Lighten => [ChannelBlend::class, 'lighten'],
            self::ColorDodge => [ChannelBlend::class, 'colorDodge'],
            self::ColorBurn => [ChannelBlend::class, 'colorBurn'],
            self::HardLight => [ChannelBlend::class, 'hardLight'],
            self::SoftLight => [ChannelBlend::class, 'softLight'],
            self::Difference => [ChannelBlend::class, 'difference'],
            self::Exclusion => [ChannelBlend::class, 'exclusion'],
            self::Kindle => [ChannelBlend::class, 'kindle'],
            default => null,
        };
    }

    /**
     * below + cover (B - below) of one channel over an opaque ground, where it can be arranged well for a long stack.
     *
     * @return array{class-string, string}|null
     */
    public function opaqueMix(): ?array
    {
        return match ($this) {
            self::Normal => [OpaqueMix::class, 'normal'],
            self::Multiply => [OpaqueMix::class, 'multiply'],
            self::Screen => [OpaqueMix::class, 'screen'],
            self::Overlay => [OpaqueMix::class, 'overlay'],
            self::HardLight => [OpaqueMix::class, 'hardLight'],
            self::SoftLight => [OpaqueMix::class, 'softLight'],
            self::ColorDodge => [OpaqueMix::class, 'colorDodge'],
            self::Add => [OpaqueMix::class, 'add'],
            default => null,
        };
    }

    /** The modes that read the three channels together: hue, saturation, color, luminosity. */
    public function readsWholeColour(): bool
    {
        return match ($this) {
            self::Hue, self::Saturation, self::Color, self::Luminosity => true,
            default => false,
        };
    }
}
