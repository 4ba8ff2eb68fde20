<?php

declare(strict_types=1);

namespace App\Render;

use App\Models\Scene;
use App\Render\Pool\Dropped;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Point;
use Illuminate\Support\Str;

/** Colours as the picture shows them: the mean of a small patch, which evens out grain. */
final readonly class Patches
{
    /** What is darker than this, linear, tells no colour of a light. */
    private const DARKEST = 0.01;

    /** Pixels along the longer side that are enough for a mean. */
    private const ENOUGH = 160;

    public function __construct(private RenderRequests $requests, private RenderService $renders)
    {
    }

    /** The mean of a patch of the rendered scene, taken in linear light, linear; null where nothing is. */
    public function mean(Scene $scene, Point $at, int $width): ?Rgb
    {
        $half = $width / 2;

        return $this->meanOf($scene, [floor($at->x) + 0.5 - $half, floor($at->y) + 0.5 - $half, (float) $width, (float) $width], 1.0);
    }

    /** The colour of the light in the whole picture, as a swatch; null where it is too dark to tell. */
    public function whole(Scene $scene): ?string
    {
        return self::swatch($this->meanOf($scene, null, min(1.0, self::ENOUGH / max($scene->width, $scene->height))), self::DARKEST);
    }

    /** @param  array{float, float, float, float}|null  $window  null for the whole scene */
    private function meanOf(Scene $scene, ?array $window, float $scale): ?Rgb
    {
        $painted = $this->renders->render(
            $this->requests->of($scene, RenderRequest::PICTURE, $window, $scale),
            new Ticket(Priority::Settled, 'patch '.Str::uuid(), 0),
        );
        $sums = [0.0, 0.0, 0.0, 0.0];
        foreach ($painted instanceof Dropped ? [] : (unpack('V*', $painted->bytes) ?: []) as $pixel) {
            $pixel = is_int($pixel) ? $pixel : 0;
            $alpha = ($pixel >> 24 & 255) / 255;
            // red lies lowest, as the browser wants it
            foreach ([0, 8, 16] as $channel => $shift) {
                $sums[$channel] += $alpha * Srgb::decode(($pixel >> $shift & 255) / 255);
            }
            $sums[3] += $alpha;
        }

        return $sums[3] > 0 ? new Rgb($sums[0] / $sums[3], $sums[1] / $sums[3], $sums[2] / $sums[3]) : null;
    }

    private static function swatch(?Rgb $mean, float $least): ?string
    {
        return $mean === null || $mean->largest() < $least ? null : $mean->normalised()->encoded()->toHex();
    }

    /**
     * The colour of the light that one sees there, as a swatch.
     *
     * @param  float  $least  what is darker, linear, does not shine: null then
     */
    public function light(Scene $scene, Point $at, int $width, float $least = self::DARKEST): ?string
    {
        return self::swatch($this->mean($scene, $at, $width), $least);
    }
}
