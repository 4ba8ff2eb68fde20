<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Flat\Fill;
use Aumbrel\Core\Grade\Base;
use Aumbrel\Core\Light\Spot;
use Aumbrel\Core\Mask\ColourArea;
use Aumbrel\Core\Mask\LinearMask;
use Aumbrel\Core\Mask\MaskKind;
use Aumbrel\Core\Mask\OutlineMask;
use Aumbrel\Core\Mask\PaintedCut;
use Aumbrel\Core\Mask\RadialMask;
use Aumbrel\Core\Mask\StrokesMask;
use Aumbrel\Core\Plate\Plate;

/** The registry: every kind of strip and of mask, in the order in which the shelf shows them. */
final class Kinds
{
    /** @var list<class-string<StripKind>> */
    public const STRIPS = [
        Plate::class,
        Spot::class,
        Fill::class,
        Base::class,
        Group::class,
    ];

    /** @var list<class-string<MaskKind>> */
    public const MASKS = [
        LinearMask::class,
        RadialMask::class,
        OutlineMask::class,
        StrokesMask::class,
        PaintedCut::class,
        ColourArea::class,
    ];

    /**
     * @return class-string<StripKind>
     *
     * @throws SceneError naming $field
     */
    public static function strip(mixed $key, string $field): string
    {
        foreach (self::STRIPS as $class) {
            if ($class::key() === $key) {
                return $class;
            }
        }
        throw SceneError::expected($field, 'one of '.implode(', ', array_map(static fn (string $c): string => $c::key(), self::STRIPS)), $key);
    }

    /**
     * @return class-string<MaskKind>
     *
     * @throws SceneError naming $field
     */
    public static function mask(mixed $key, string $field): string
    {
        foreach (self::MASKS as $class) {
            if ($class::key() === $key) {
                return $class;
            }
        }
        throw SceneError::expected($field, 'one of '.implode(', ', array_map(static fn (string $c): string => $c::key(), self::MASKS)), $key);
    }
}
