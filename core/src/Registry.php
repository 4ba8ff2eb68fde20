<?php

declare(strict_types=1);

namespace Aumbrel\Core;

use Aumbrel\Core\Air\DistanceHaze;
use Aumbrel\Core\Air\DustInAir;
use Aumbrel\Core\Air\Grain;
use Aumbrel\Core\Air\Haze;
use Aumbrel\Core\Air\SmokeInAir;
use Aumbrel\Core\Flat\Fill;
use Aumbrel\Core\Grade\Balance;
use Aumbrel\Core\Grade\Bands;
use Aumbrel\Core\Grade\Base;
use Aumbrel\Core\Grade\Bloom;
use Aumbrel\Core\Grade\Contrast;
use Aumbrel\Core\Grade\Curves;
use Aumbrel\Core\Grade\Levels;
use Aumbrel\Core\Grade\Matching;
use Aumbrel\Core\Grade\Monochrome;
use Aumbrel\Core\Grade\Saturation;
use Aumbrel\Core\Grade\Tinting;
use Aumbrel\Core\Grade\TonesToColours;
use Aumbrel\Core\Grade\Vignette;
use Aumbrel\Core\Grade\Warmth;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Light\Beam;
use Aumbrel\Core\Light\Chamfer;
use Aumbrel\Core\Light\Glow;
use Aumbrel\Core\Light\Halo;
use Aumbrel\Core\Light\KeyLight;
use Aumbrel\Core\Light\Leak;
use Aumbrel\Core\Light\LineOfLight;
use Aumbrel\Core\Light\Paint;
use Aumbrel\Core\Light\Pattern;
use Aumbrel\Core\Light\Relief;
use Aumbrel\Core\Light\Rim;
use Aumbrel\Core\Light\Skylight;
use Aumbrel\Core\Light\Spot;
use Aumbrel\Core\Light\SpotOnto;
use Aumbrel\Core\Light\Sun;
use Aumbrel\Core\Light\Torch;
use Aumbrel\Core\Light\Wash;
use Aumbrel\Core\Mask\BrightnessMask;
use Aumbrel\Core\Mask\ColourArea;
use Aumbrel\Core\Mask\LinearMask;
use Aumbrel\Core\Mask\OutlineMask;
use Aumbrel\Core\Mask\PaintedCut;
use Aumbrel\Core\Mask\RadialMask;
use Aumbrel\Core\Mask\StrokesMask;
use Aumbrel\Core\Mask\TextureMask;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Scene\Group;
use Aumbrel\Core\Shadow\Cast;
use Aumbrel\Core\Shadow\Contact;
use Aumbrel\Core\Shadow\WallShadow;

/** The only place that names every kind; handed to whoever reads scenes. */
final class Registry
{
    public static function kinds(): Kinds
    {
        return new Kinds(
            strips: [
                Plate::class,
                Spot::class,
                SpotOnto::class,
                Rim::class,
                KeyLight::class,
                Skylight::class,
                Relief::class,
                Chamfer::class,
                Wash::class,
                Glow::class,
                Halo::class,
                LineOfLight::class,
                Sun::class,
                Beam::class,
                Pattern::class,
                Leak::class,
                Paint::class,
                Torch::class,
                Cast::class,
                WallShadow::class,
                Contact::class,
                Fill::class,
                Haze::class,
                DistanceHaze::class,
                SmokeInAir::class,
                DustInAir::class,
                Grain::class,
                Base::class,
                Levels::class,
                Contrast::class,
                Monochrome::class,
                Curves::class,
                Saturation::class,
                Balance::class,
                Bands::class,
                Tinting::class,
                TonesToColours::class,
                Warmth::class,
                Matching::class,
                Vignette::class,
                Bloom::class,
                Group::class,
            ],
            masks: [
                LinearMask::class,
                RadialMask::class,
                OutlineMask::class,
                StrokesMask::class,
                PaintedCut::class,
                ColourArea::class,
                TextureMask::class,
                BrightnessMask::class,
            ],
        );
    }
}
