<?php

declare(strict_types=1);

namespace Aumbrel\Core\Out;

use Aumbrel\Core\Blend\BlendMode;

/** How a layer of an OpenRaster file joins what lies below (OpenRaster Layer Stack File, composite-op): those that mean what a mode of ours means. */
final class Operation
{
    public const OVER = 'svg:src-over';

    /** Over what is there, and nothing where nothing is. */
    public const ATOP = 'svg:src-atop';

    private const OF_MODES = [
        'normal' => self::OVER, 'multiply' => 'svg:multiply', 'screen' => 'svg:screen', 'overlay' => 'svg:overlay', 'darken' => 'svg:darken', 'lighten' => 'svg:lighten',
        'color dodge' => 'svg:color-dodge', 'color burn' => 'svg:color-burn', 'hard light' => 'svg:hard-light', 'soft light' => 'svg:soft-light', 'difference' => 'svg:difference',
        'color' => 'svg:color', 'luminosity' => 'svg:luminosity', 'hue' => 'svg:hue', 'saturation' => 'svg:saturation', 'add' => 'svg:plus',
    ];

    /** Null for a mode that it has no word for. */
    public static function of(BlendMode $mode): ?string
    {
        return self::OF_MODES[$mode->value] ?? null;
    }

    /** The mode that a word of an OpenRaster file means; null for one that none of ours means. */
    public static function mode(string $operation): ?BlendMode
    {
        $mode = array_search($operation, self::OF_MODES, true);

        return $mode === false ? null : BlendMode::from($mode);
    }
}
