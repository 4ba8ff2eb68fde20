<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Outline;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Rectangle;
use LogicException;

/**
 * A plate as a window sees it: packed pixels, one a pixel of the window.
 *
 * Where the picture's own rows (or those of a halving) fall exactly on the window's pixels they are read as they are;
 * otherwise they are resampled to 16 bits a channel.
 */
final readonly class PlatePlane implements SeenPlate
{
    use KeyOfAll;

    /** How far from a whole pixel a plate may lie and still be read as it is. */
    private const WHOLE = 1e-6;

    private int $bits;

    /** The level whose rows are read as they are, or null when they are resampled. */
    public ?int $direct;

    private bool $opaque;

    private Outline $outline;

    /** @param  bool  $isCut  whether the picture's border cuts the pixels that it crosses, {@see PictureAtSize} */
    public function __construct(public PictureSource $picture, public Placement $placement, public Window $window, private bool $isCut = true)
    {
        $this->direct = $this->directLevel();
        $this->bits = $this->direct === null ? 16 : $picture->bits();
        $this->opaque = $picture->opaque() && $this->covers();
        $this->outline = new Outline($placement->corners($picture->width(), $picture->height()), $window->step());
    }

    /** A picture that belongs to a plate and shows the same, whatever its pixels: it lies as that does. */
    public static function beside(PictureSource $picture, PictureSource $plate, Placement $placement, Window $window): self
    {
        return new self($picture, $placement->ofFiner($picture->width() / $plate->width(), $picture->height() / $plate->height()), $window);
    }

    public function bits(): int
    {
        return $this->bits;
    }

    public function opaque(): bool
    {
        return $this->opaque;
    }

    public function bounds(): Bounds
    {
        $round = Bounds::round($this->placement->corners($this->picture->width(), $this->picture->height())) ?? throw new LogicException('a picture has four corners');

        return $round->grown($this->window->step());
    }

    public function grown(float $by): Outline
    {
        return $this->outline->grown($by);
    }

    public function span(float $y): ?array
    {
        return $this->outline->span($y);
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        return $this->direct === null
            ? (new Resampler($this->picture, $this->placement, $this->window, $this->isCut))->fill()
            : $this->read($this->direct);
    }

    /** The place in the picture of the centre of an output pixel. */
    private function at(float $column, float $row): Point
    {
        return $this->placement->toPicture(new Point($this->window->xOf($column), $this->window->yOf($row)));
    }

    private function directLevel(): ?int
    {
        if (! $this->placement->isUpright() || $this->placement->mirrored) {
            return null;
        }
        $pitch = $this->window->step() / $this->placement->scale;
        $level = (int) round(log($pitch, 2));
        $size = 2 ** max(0, $level);
        if ($level < 0 || $level > PictureSource::LEVELS || abs($pitch - $size) > 1e-9) {
            return null;
        }
        $first = $this->at(0, 0);
        foreach ([$first->x / $size - 0.5, $first->y / $size - 0.5] as $offset) {
            if (abs($offset - round($offset)) > self::WHOLE) {
                return null;
            }
        }

        // a last column or row that is not whole at this level is resampled with its true share
        return $this->picture->width() % $size === 0 && $this->picture->height() % $size === 0 ? $level : null;
    }

    private function covers(): bool
    {
        if ($this->placement->fit !== null) {
            return false;
        }
        foreach ([$this->window->borderX(0), $this->window->borderX($this->window->columns)] as $x) {
            foreach ([$this->window->borderY(0), $this->window->borderY($this->window->rows)] as $y) {
                $corner = $this->placement->toPicture(new Point($x, $y));
                if ($corner->x < -self::WHOLE || $corner->y < -self::WHOLE
                    || $corner->x > $this->picture->width() + self::WHOLE || $corner->y > $this->picture->height() + self::WHOLE) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return list<int> */
    private function read(int $level): array
    {
        $size = 2 ** $level;
        $first = $this->at(0, 0);
        $left = (int) round($first->x / $size - 0.5);
        $top = (int) round($first->y / $size - 0.5);

        return (new Rectangle($level, $left, $top, $this->window->columns, $this->window->rows))->pixels($this->picture);
    }
}
