<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Spread;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Beneath;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\Surrounding;
use Aumbrel\Core\Seen\SeenPlate;
use Closure;

/**
 * How colours are moved from how they are to how they are wanted: means and ratios of deviations in Oklab, nine numbers. Counted
 * on a small picture of the whole scene, so that every window moves them alike.
 */
final readonly class MatchPlane implements Plane
{
    /** Pixels of that picture at most. */
    private const ENOUGH = 24_000;

    /** Contrast is at most doubled, and at most halved. */
    private const STEEPEST = 2.0;

    /** A deviation below this is none: what is flat has no contrast that could be stretched. */
    private const FLAT = 0.002;

    /** Less than so many pixels say nothing. */
    public const LEAST = 4.0;

    /**
     * @param  Closure(string, Window): ?SeenPlate  $seen  a plate by its id
     * @param  string|null  $moved  the plate whose colours are moved; null for all that lies below
     * @param  string|null  $toward  the plate whose colours are wanted
     * @param  array{float, float, float, float}|null  $region  left, top, right, bottom of where the wanted colours are; null for around the moved plate, or everywhere
     * @param  array{int, int}  $size  of the scene
     */
    public function __construct(private Beneath $beneath, private Closure $seen, private ?string $moved, private ?string $toward, private ?array $region, private array $size)
    {
    }

    /** By hand: what it sees of plates is what the picture beneath is made of, which has a name. */
    public function key(): string
    {
        return "match {$this->beneath->key()} {$this->moved} {$this->toward} ".json_encode($this->region);
    }

    /** @return list<float> the means that are, the ratios, the means that are wanted; ratios of 1 and the same means where nothing can be told */
    public function fill(Planes $planes): array
    {
        [$own, $wanted] = $this->spreads($planes);
        if ($own->weight < self::LEAST || $wanted->weight < self::LEAST) {
            return [0.0, 0.0, 0.0, 1.0, 1.0, 1.0, 0.0, 0.0, 0.0];
        }
        $ratios = array_map(static fn (float $from, float $to): float => $from < self::FLAT ? 1.0 : max(1 / self::STEEPEST, min(self::STEEPEST, $to / $from)), $own->deviations, $wanted->deviations);

        return [...$own->means, ...$ratios, ...$wanted->means];
    }

    /** @return array{Spread, Spread} of what is moved, and of what is wanted */
    public function spreads(Planes $planes): array
    {
        [$width, $height] = $this->size;
        $window = Window::whole($width, $height, min(1.0, sqrt(self::ENOUGH / ($width * $height))));
        [$red, $green, $blue, $there] = $this->beneath->colours($window);
        $moved = $this->moved === null ? null : $this->alpha($planes, $this->moved, $window);
        $own = self::times($there, $moved);
        $wanted = match (true) {
            $this->toward !== null => self::times($there, $this->alpha($planes, $this->toward, $window)),
            $this->region !== null => $this->within($there, $this->region, $window),
            default => $moved === null ? $there : Surrounding::of($moved, $there, $window->columns),
        };
        if ($moved !== null && $this->region !== null) {
            // what is moved is not what it is moved to
            $wanted = array_map(static fn (float $weight, float $alpha): float => $weight * (1 - $alpha), $wanted, $moved);
        }

        return [Spread::of([$red, $green, $blue], $own), Spread::of([$red, $green, $blue], $wanted)];
    }

    /** @return list<float> how much a plate covers; nothing of one that is gone */
    private function alpha(Planes $planes, string $plate, Window $window): array
    {
        $seen = ($this->seen)($plate, $window);

        return $seen === null ? array_fill(0, $window->columns * $window->rows, 0.0) : (new Pixels($planes->pixels($seen), $seen->bits()))->alpha();
    }

    /**
     * @param  list<float>  $weights
     * @param  list<float>|null  $shares
     * @return list<float>
     */
    private static function times(array $weights, ?array $shares): array
    {
        return $shares === null ? $weights : array_map(static fn (float $weight, float $share): float => $weight * $share, $weights, $shares);
    }

    /**
     * @param  list<float>  $weights
     * @param  array{float, float, float, float}  $region
     * @return list<float>
     */
    private function within(array $weights, array $region, Window $window): array
    {
        [$left, $top, $right, $bottom] = $region;
        $within = [];
        foreach ($weights as $at => $weight) {
            [$x, $y] = [$window->xOf($at % $window->columns), $window->yOf(intdiv($at, $window->columns))];
            $within[] = $x >= $left && $x <= $right && $y >= $top && $y <= $bottom ? $weight : 0.0;
        }

        return $within;
    }
}
