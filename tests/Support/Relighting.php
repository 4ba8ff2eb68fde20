<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Body\OwnLight;
use Aumbrel\Core\Color\Difference;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Light\Relit;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;

/**
 * How much nearer a plate that was lit by A and is relit to B comes to its true picture under B: by the whole way through scenes,
 * as they are rendered. Distances are mean CIEDE2000 over the body after the best gain of each channel.
 */
final readonly class Relighting
{
    private function __construct(public OwnLight $own, public float $asItWas, public float $relit, public float $keyAlone)
    {
    }

    /** @param  list<array{float, float, float}|null>  $truth  linear, under B; null beside the body */
    public static function of(Flat $plate, ?Flat $normals, Bearing $from, Bearing $to, array $truth): self
    {
        $pictures = ['plate' => $plate, ...($normals === null ? [] : ['normals' => $normals])];
        $values = ['bearing' => ['by' => 'sphere', 'azimuth' => $from->azimuth, 'elevation' => $from->elevation], ...($normals === null ? [] : ['normals' => 'normals', 'normalsUp' => 'green is up'])];
        $renderer = Rendering::renderer($pictures);
        $scene = static fn (array $more, array $strips = []): Scene => Scene::read(['aumbrel' => 2, 'title' => 'Relit', 'size' => [$plate->width(), $plate->height()], 'strips' => [
            Rendering::plate('plate', ['id' => 'plate', 'values' => [...$values, ...$more]]), ...$strips,
        ]], Registry::kinds());
        $own = $renderer->ownLight($scene([]), 'plate');
        if (! $own instanceof OwnLight) {
            throw new \LogicException($own);
        }
        $light = ['id' => 'key', ...Relit::light('plate', $own, $to)];
        $shown = static function (Scene $scene) use ($renderer, $plate): array {
            $bytes = array_values((array) unpack('n*', $renderer->picture($scene, Window::whole($plate->width(), $plate->height()), 16)->bytes));
            $pixels = [];
            foreach (array_chunk($bytes, 4) as [$r, $g, $b]) {
                $pixels[] = [Srgb::decode($r / 65535), Srgb::decode($g / 65535), Srgb::decode($b / 65535)];
            }

            return $pixels;
        };
        $apart = static fn (Scene $scene): float => self::apart($shown($scene), $truth);

        return new self($own, $apart($scene([])), $apart($scene(Relit::plate(), [$light])), $apart($scene([], [$light])));
    }

    /** The share of the way that it came nearer, 1 for all of it. */
    public function nearer(): float
    {
        return 1 - $this->relit / $this->asItWas;
    }

    /**
     * @param  list<array{float, float, float}>  $own
     * @param  list<array{float, float, float}|null>  $truth
     */
    private static function apart(array $own, array $truth): float
    {
        $inside = array_keys(array_filter($truth, is_array(...)));
        $gains = array_map(static function (int $k) use ($own, $truth, $inside): float {
            [$products, $squares] = [0.0, 0.0];
            foreach ($inside as $at) {
                $products += $own[$at][$k] * $truth[$at][$k];
                $squares += $own[$at][$k] ** 2;
            }

            return $squares > 0 ? $products / $squares : 1.0;
        }, [0, 1, 2]);

        return array_sum(array_map(static fn (int $at): float => Difference::of(new Rgb($own[$at][0] * $gains[0], $own[$at][1] * $gains[1], $own[$at][2] * $gains[2]), new Rgb(...$truth[$at])), $inside)) / max(1, count($inside));
    }
}
