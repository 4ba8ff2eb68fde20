<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Stage\Rays;

/**
 * A sheet thrown on a surface by a light.
 *
 * The penumbra across is (way from the casting place along the ray) x (angle of the light), and 1/(sine of the ray's angle to the
 * surface) times that along the shadow; sigma is a quarter of each, carried into the picture by the camera, and there never below the contact softness.
 */
final class Thrown implements Throwing
{
    use KeyOfAll;

    /** What is so much nearer to the camera than the contact row is not seen. */
    private const NEAREST = 0.05;

    /** Places on each side of the sheet's box that are thrown to see where the shadow ends. */
    private const ALONG_SIDE = 12;

    /** A Gaussian counts as ended at this many sigmas. */
    private const ENDED = 4.0;

    private readonly Homography $toSheet;

    /** @var array{Bounds|null, Bounds|null}|null */
    private ?array $ends = null;

    /**
     * @param  Rays  $rays  in the sheet's space, raised
     * @param  float  $angle  of the light, radians; the same for all of the plate
     * @param  float  $contact  the least sigma, px of the picture at the contact row
     * @param  float  $tip  0..1, the share of the density that is left at the tip
     */
    public function __construct(private readonly Sheet $sheet, private readonly Rays $rays, private readonly Surface $surface, private readonly float $angle, private readonly float $contact, private readonly float $tip)
    {
        $this->toSheet = $sheet->view->through($surface->face, $sheet->plane, $rays);
    }

    public function toSheet(): Homography
    {
        return $this->toSheet;
    }

    public function sides(): array
    {
        return $this->surface->sides;
    }

    public function softness(float $x, float $y): ?Softness
    {
        $view = $this->sheet->view;
        $there = $view->meets(new Point($x, $y), $this->surface->face);
        if ($there === null) {
            return null;
        }
        $way = $this->rays->toward($there);
        $through = $this->sheet->plane->normal->dot($way);
        if (abs($through) < 1e-12) {
            return null;
        }
        $share = -$this->sheet->plane->over($there) / $through;
        $length = $way->length();
        $toward = $way->times(1 / max(1e-12, $length));
        $slant = $this->surface->face->normal->dot($toward);
        $place = $there->plus($way->times($share));
        if ($slant <= $this->surface->flattest || (! $this->rays->isParallel && $share >= 1) || $view->scale($there) <= self::NEAREST * $view->scale($place)) {
            return null;
        }
        $sigma = max(0.0, $share) * $length * $this->angle / 4;

        return new Softness(...$this->axes($toward, $slant, $sigma, $there), least: $this->contact, left: $this->left($place));
    }

    public function extent(): ?Bounds
    {
        return $this->ends()[0];
    }

    public function reach(): ?Bounds
    {
        return $this->ends()[1];
    }

    /**
     * Where the shadow ends, and how far about the cut-out what is gathered comes from: measured along the box of what throws it.
     *
     * @return array{Bounds|null, Bounds|null} null where it has no end that is seen
     */
    private function ends(): array
    {
        if ($this->ends !== null) {
            return $this->ends;
        }
        $seen = $sheet = [];
        foreach ($this->border() as $place) {
            $there = $this->thrown($place);
            $soft = $there === null ? null : $this->softness($there->x, $there->y);
            if ($there === null || $soft === null) {
                return $this->ends = [null, null];
            }
            [$ux, $uy, $vx, $vy] = $this->toSheet->jacobian($there->x, $there->y);
            foreach ([-self::ENDED, self::ENDED] as $sigmas) {
                $seen[] = [$there->x + $sigmas * sqrt($soft->xx), $there->y + $sigmas * sqrt($soft->yy)];
                $sheet[] = [$place->x + $sigmas * $soft->along($ux, $uy), $place->y + $sigmas * $soft->along($vx, $vy)];
            }
        }

        return $this->ends = [Bounds::round($seen)?->grown(2.0), Bounds::round($sheet)?->grown(2.0)];
    }

    /** @return list<Point> places along the box of what throws the shadow, down to its contact row */
    private function border(): array
    {
        $box = $this->sheet->box;
        $places = [];
        for ($k = 0; $k <= self::ALONG_SIDE; $k++) {
            $t = $k / self::ALONG_SIDE;
            $places[] = new Point($box->left + $t * ($box->right - $box->left), $box->top);
            foreach ([$box->left, $box->right] as $x) {
                $places[] = new Point($x, $box->top + $t * ($this->sheet->rowAt($x) - $box->top));
            }
        }

        return $places;
    }

    /** Where a place of the cut-out is thrown to; null when nowhere that is seen. */
    public function thrown(Point $seen): ?Point
    {
        $view = $this->sheet->view;
        $place = $this->sheet->place($seen);
        if ($place === null) {
            return null;
        }
        $way = $this->rays->toward($place);
        $slant = $this->surface->face->normal->dot($way);
        if ($slant <= $this->surface->flattest * $way->length()) {
            return null;
        }
        $there = $place->minus($way->times($this->surface->face->over($place) / $slant));

        return $view->scale($there) <= self::NEAREST * $view->scale($place) ? null : $view->seen($there);
    }

    /**
     * A penumbra as it is seen: across the shadow, and along it, where the rays come in aslant.
     *
     * @param  float  $sigma  across the rays, px of space
     * @return array{array{float, float}, array{float, float}} px, their lengths are sigmas
     */
    private function axes(Vector $toward, float $slant, float $sigma, Vector $there): array
    {
        $normal = $this->surface->face->normal;
        $along = $toward->minus($normal->times($slant));
        // straight from above there is no along: any two will do
        if ($along->length() < 1e-9) {
            $along = $normal->cross(new Vector($normal->y, $normal->z, $normal->x));
        }
        $along = $along->unit();
        $view = $this->sheet->view;

        return [$view->seenWay($there, $normal->cross($along)->times($sigma)), $view->seenWay($there, $along->times($sigma / $slant))];
    }

    /** The share of the density that is left of what is thrown from a place: it falls evenly with its height. */
    private function left(Vector $place): float
    {
        return 1 - (1 - $this->tip) * max(0.0, min(1.0, $this->sheet->height($place) / $this->sheet->high));
    }
}
