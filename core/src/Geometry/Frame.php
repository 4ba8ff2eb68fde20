<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/**
 * The pixels of a window, seen from the coordinates in which a shape is given: the scene's, or those of a plate's picture.
 *
 * A place of the window counts in pixels from its upper left corner: the first pixel reaches from 0 to 1.
 */
final readonly class Frame
{
    /** From the shape's coordinates to the window's pixels. */
    public Homography $toPixels;

    public Homography $fromPixels;

    private function __construct(public Window $window, Homography $toScene, private string $name, public ?Placement $placement = null)
    {
        $scale = $window->scale;
        $this->toPixels = Homography::affine($scale, 0, -$window->x * $scale, 0, $scale, -($window->yOf(0) * $scale - 0.5))->after($toScene);
        $this->fromPixels = $this->toPixels->inverse();
    }

    public static function scene(Window $window): self
    {
        return new self($window, Homography::affine(1, 0, 0, 0, 1, 0), 'scene');
    }

    /** Of shapes in the coordinates of a placed picture. */
    public static function plate(Window $window, Placement $placement): self
    {
        return new self($window, $placement->map(), $placement->key(), $placement);
    }

    /** The same with a margin of so many pixels on every side. */
    public function padded(int $margin): self
    {
        $back = Homography::affine(1 / $this->window->scale, 0, $this->window->x, 0, 1 / $this->window->scale, $this->window->yOf(0) - 0.5 / $this->window->scale);

        return $margin === 0 ? $this : new self($this->window->padded($margin), $back->after($this->toPixels), $this->name, $this->placement);
    }

    /** Pixels to a unit of the shape's coordinates; in perspective at a plate's pivot, so that all windows agree. */
    public function pixelsPerUnit(): float
    {
        return $this->toPixels->scaleAt($this->placement->pivot->x ?? 0.0, $this->placement->pivot->y ?? 0.0);
    }

    /** Whether circles stay circles. */
    public function isSimilar(): bool
    {
        return $this->toPixels->isAffine();
    }

    public function key(): string
    {
        return "{$this->name} in {$this->window->key()}";
    }
}
