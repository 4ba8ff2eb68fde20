<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Raster\Gaussian;

/** Reads a plate's own light off its pixels, from which way they face and where it comes from; and bends the normals by what they show. */
final class OwnLightFit
{
    /** So many pixels tell it. */
    private const ENOUGH = 4000;

    /** The ambient share where the body does not fit the light. */
    private const UNREAD = 0.25;

    /** The ambient share at least, and at most: by normals that are known, and by a dome. */
    private const LEAST = 0.02;

    private const MOST = 0.98;

    private const MOST_OF_DOME = 0.5;

    /** How far, in logarithms, the ambient light's red and blue may be from the key's. */
    private const FARTHEST_COLOUR = 0.4;

    /** How far the colours that are left wander, and from where on they are not texture but shading. */
    private const EVEN = 0.03;

    private const TEXTURED = 0.10;

    /** How much a dome explains that is wrong in most places, and one that is right in most. */
    private const DOUBTFUL = 0.3;

    private const SURE = 0.6;

    /** Shading is smoothed by this share of the shorter side before it bends anything. */
    private const SMOOTHED = 0.01;

    /** @var list<int> the material of each pixel that is read */
    private array $materials;

    /** @var list<float> n.l of each */
    private array $facing;

    private OwnLight $light;

    /** @var list<float> */
    private array $seen = [];

    /**
     * @param  array{list<float>, list<float>, list<float>}  $normals  of every pixel: x to the right, y up, z toward the viewer
     * @param  array{float, float, float}  $toward  the unit vector toward the light
     * @param  bool  $isDome  whether the normals are a guess from the outline
     * @param  float|null  $ambient  the ambient share where that is said
     */
    public function __construct(private readonly LitSurface $surface, array $normals, private readonly array $toward, private readonly bool $isDome, private readonly ?float $ambient, private readonly bool $bends)
    {
        $this->facing = self::facing($surface->places, $normals, $toward);
        $this->light = $this->fitted($normals);
    }

    public function light(): OwnLight
    {
        return $this->light;
    }

    /** @return list<float> of every pixel how far it seems to face the light, 0..1, and -1 where that is not known; empty where nothing is bent */
    public function seen(): array
    {
        return $this->seen;
    }

    /** @param  array{list<float>, list<float>, list<float>}  $normals */
    private function fitted(array $normals): OwnLight
    {
        $thin = $this->surface->thinned(self::ENOUGH);
        if ($thin->places === []) {
            return new OwnLight($this->ambient ?? self::UNREAD, 1.0, 1.0, 1.0, 0.0, 0.0, 0.0);
        }
        $facing = array_map(static fn (float $one): float => max(0.0, $one), self::facing($thin->places, $normals, $this->toward));
        $kinds = Materials::of($thin);
        $of = $kinds->in($thin);
        $this->materials = $kinds->in($this->surface);
        [$ambient, $explained] = $this->ambient($thin->bright, $facing, $of);
        [$red, $blue] = [self::tinge($thin->reds, $facing, $of, $ambient), self::tinge($thin->blues, $facing, $of, $ambient)];
        $bent = $this->isDome && $this->bends ? $this->bend($ambient, self::wandering($thin, $facing, $of, $ambient, $red, $blue), $explained) : 0.0;

        return new OwnLight($ambient, $red, $blue, $this->mean($ambient, $red, $blue), $explained, $this->surface->clipped, $bent);
    }

    /**
     * The share of light that has no direction, and how much of the spread of the tones about their materials' medians it explains.
     *
     * @param  list<float>  $bright
     * @param  list<float>  $facing  0..1
     * @param  list<int>  $of
     * @return array{float, float}
     */
    private function ambient(array $bright, array $facing, array $of): array
    {
        $left = static fn (float $a): float => self::left($bright, array_map(static fn (float $f): float => log($a + (1 - $a) * $f), $facing), $of);
        $spread = self::left($bright, array_fill(0, count($bright), 0.0), $of);
        $best = $this->ambient ?? self::least($left, self::LEAST, self::MOST);
        $explained = $spread > 1e-9 ? max(0.0, 1 - $left($best) / $spread) : 0.0;
        if ($this->ambient !== null || ! $this->isDome) {
            return [$best, $explained];
        }
        if ($explained < OwnLight::READABLE) {
            return [self::UNREAD, $explained];
        }

        return [max(self::LEAST, min(self::MOST_OF_DOME, ($best + self::byQuantiles($bright, $facing, $of)) / 2)), $explained];
    }

    /**
     * The ambient share whose tones are spread as those of the plate: a dome that is misplaced flattens the fit of single pixels, not this one.
     *
     * @param  list<float>  $bright
     * @param  list<float>  $facing
     * @param  list<int>  $of
     */
    private static function byQuantiles(array $bright, array $facing, array $of): float
    {
        $materials = [];
        foreach (self::byMaterial($of) as $places) {
            [$own, $faced] = [[], []];
            foreach ($places as $k) {
                $own[] = $bright[$k];
                $faced[] = $facing[$k];
            }
            sort($own);
            sort($faced);
            $materials[] = array_map(static function (int $share) use ($own, $faced): array {
                $at = (int) round($share / 100 * (count($own) - 1));

                return [$own[$at], $faced[$at], count($own)];
            }, range(3, 97));
        }

        return self::least(static function (float $a) use ($materials): float {
            $sum = 0.0;
            foreach ($materials as $quantiles) {
                $apart = array_map(static fn (array $pair): float => $pair[0] - log($a + (1 - $a) * $pair[1]), $quantiles);
                $middle = self::median($apart);
                $sum += $quantiles[0][2] * array_sum(array_map(static fn (float $one): float => abs($one - $middle), $apart));
            }

            return $sum;
        }, self::LEAST, self::MOST);
    }

    /**
     * How red, or how blue, the ambient light is against the key.
     *
     * @param  list<float>  $ratios  logarithms
     * @param  list<float>  $facing
     * @param  list<int>  $of
     */
    private static function tinge(array $ratios, array $facing, array $of, float $ambient): float
    {
        $left = static fn (float $t): float => self::left($ratios, array_map(static fn (float $f): float => log(($ambient * exp($t) + (1 - $ambient) * $f) / ($ambient + (1 - $ambient) * $f)), $facing), $of);

        return exp(self::least($left, -self::FARTHEST_COLOUR, self::FARTHEST_COLOUR));
    }

    /**
     * How far the colours still wander when this light is taken out: of texture, for shading leaves them alone.
     *
     * @param  list<float>  $facing
     * @param  list<int>  $of
     */
    private static function wandering(LitSurface $surface, array $facing, array $of, float $ambient, float $red, float $blue): float
    {
        $shade = static fn (float $t): array => array_map(static fn (float $f): float => log(($ambient * $t + (1 - $ambient) * $f) / ($ambient + (1 - $ambient) * $f)), $facing);

        return (self::left($surface->reds, $shade($red), $of) + self::left($surface->blues, $shade($blue), $of)) / (2 * count($facing));
    }

    /** How far normals are moved until their shading is what is seen, 0..1. */
    private function bend(float $ambient, float $wandering, float $explained): float
    {
        // where the dome explains little, texture that is taken for form does less harm than the dome
        $weight = 1 - min(self::step($wandering, self::EVEN, self::TEXTURED), self::step($explained, self::DOUBTFUL, self::SURE));
        if ($weight <= 0.0) {
            return 0.0;
        }
        $this->seen = $this->shading($ambient);
        $this->facing = array_map(fn (float $facing, int $place): float => Bending::facing($facing, $this->seen[$place], $weight), $this->facing, $this->surface->places);

        return $weight;
    }

    /**
     * @param  list<int>  $places
     * @param  array{list<float>, list<float>, list<float>}  $normals
     * @param  array{float, float, float}  $toward
     * @return list<float>
     */
    private static function facing(array $places, array $normals, array $toward): array
    {
        [$xs, $ys, $zs] = $normals;
        [$lx, $ly, $lz] = $toward;
        $facing = [];
        foreach ($places as $place) {
            $facing[] = $xs[$place] * $lx + $ys[$place] * $ly + $zs[$place] * $lz;
        }

        return $facing;
    }

    /** 0 up to one value, 1 from another one on, smooth between them. */
    private static function step(float $value, float $from, float $to): float
    {
        $t = max(0.0, min(1.0, ($value - $from) / ($to - $from)));

        return $t * $t * (3 - 2 * $t);
    }

    /** @return list<float> of every pixel how far it seems to face the light, as its tones show it, smoothed inside the outline only; -1 where nothing of it is near */
    private function shading(float $ambient): array
    {
        $surface = $this->surface;
        $own = array_map(static fn (float $bright, float $facing): float => $bright - log($ambient + (1 - $ambient) * max(0.0, $facing)), $surface->bright, $this->facing);
        $sums = $weights = array_fill(0, $surface->columns * $surface->rows, 0.0);
        foreach (self::byMaterial($this->materials) as $places) {
            $middle = self::median(array_map(static fn (int $k): float => $own[$k], $places));
            foreach ($places as $k) {
                $sums[$surface->places[$k]] = $surface->bright[$k] - $middle;
                $weights[$surface->places[$k]] = 1.0;
            }
        }
        $sigma = self::SMOOTHED * min($surface->columns, $surface->rows);
        /** @var list<float> $sums changed only where they had values already */
        /** @var list<float> $weights */
        [$sums, $weights] = [Gaussian::blur($sums, $surface->columns, $surface->rows, $sigma), Gaussian::blur($weights, $surface->columns, $surface->rows, $sigma)];

        return array_map(static fn (float $sum, float $weight): float => $weight > 1e-4 ? max(0.0, min(Bending::MOST, (exp($sum / $weight) - $ambient) / (1 - $ambient))) : -1.0, $sums, $weights);
    }

    /** The mean luminance of its light, weighted by its own: what it had before it is evened out. */
    private function mean(float $ambient, float $red, float $blue): float
    {
        $sky = $ambient * Luma::of($red, 1.0, $blue);
        [$sum, $weights] = [0.0, 0.0];
        foreach ($this->surface->bright as $k => $bright) {
            $weight = exp($bright);
            $weights += $weight;
            $sum += $weight * ($sky + (1 - $ambient) * max(0.0, $this->facing[$k]));
        }

        return $weights > 0 ? $sum / $weights : 1.0;
    }

    /**
     * What a shading leaves of values about their materials' medians.
     *
     * @param  list<float>  $values
     * @param  list<float>  $shading
     * @param  list<int>  $of
     */
    private static function left(array $values, array $shading, array $of): float
    {
        $apart = [];
        foreach ($values as $k => $value) {
            $apart[$of[$k]][] = $value - $shading[$k];
        }
        $sum = 0.0;
        foreach ($apart as $material) {
            $middle = self::median($material);
            foreach ($material as $one) {
                $sum += abs($one - $middle);
            }
        }

        return $sum;
    }

    /**
     * @param  list<int>  $of
     * @return array<int, non-empty-list<int>>
     */
    private static function byMaterial(array $of): array
    {
        $places = [];
        foreach ($of as $k => $material) {
            $places[$material][] = $k;
        }

        return $places;
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)];
    }

    /**
     * Where a function is least: by steps, then by golden sections between the steps beside the least one.
     *
     * @param  callable(float): float  $of
     */
    private static function least(callable $of, float $from, float $to): float
    {
        $steps = 16;
        $values = array_map(static fn (int $k): float => $of($from + $k / $steps * ($to - $from)), range(0, $steps));
        $best = (int) array_search(min($values), $values, true);
        [$low, $high] = [$from + max(0, $best - 1) / $steps * ($to - $from), $from + min($steps, $best + 1) / $steps * ($to - $from)];
        $golden = (sqrt(5) - 1) / 2;
        [$a, $b] = [$high - $golden * ($high - $low), $low + $golden * ($high - $low)];
        [$atA, $atB] = [$of($a), $of($b)];
        for ($round = 0; $round < 10; $round++) {
            if ($atA < $atB) {
                [$high, $b, $atB] = [$b, $a, $atA];
                $a = $high - $golden * ($high - $low);
                $atA = $of($a);
            } else {
                [$low, $a, $atA] = [$a, $b, $atB];
                $b = $low + $golden * ($high - $low);
                $atB = $of($b);
            }
        }

        return ($low + $high) / 2;
    }
}
