<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\PictureSource;

/** A placed picture at the halving from which a window is drawn: one that leaves a reduction below two. */
final readonly class PictureAtSize
{
    /** With less than this of alpha a colour is none. */
    public const CLEAR = 1e-5;

    public int $level;

    /** Pixels of the halving. */
    public int $width;

    public int $height;

    /** Pixels of the halving to one of the window. */
    public float $pitch;

    /** @param  bool  $isCut  whether a pixel that the border crosses has only its share; what is part of a plate is cut by the plate */
    public function __construct(public PictureSource $picture, public Placement $placement, public Window $window, public bool $isCut = true)
    {
        $pitch = $placement->fit === null ? $window->step() / $placement->scale : $this->finestPitch();
        $this->level = max(0, min(PictureSource::LEVELS, (int) floor(log($pitch, 2) + 1e-9)));
        $this->pitch = $pitch / 2 ** $this->level;
        $this->width = (int) ceil($picture->width() / 2 ** $this->level);
        $this->height = (int) ceil($picture->height() / 2 ** $this->level);
    }

    /**
     * Channels 0..65535 of a piece of one row, premultiplied; alpha 0..1.
     *
     * @return array{list<float>, list<float>, list<float>, list<float>}
     */
    public function unpacked(int $x, int $y, int $count, int $rows = 1): array
    {
        $red = $green = $blue = $alpha = [];
        $pixels = $this->picture->pixels($this->level, $x, $y, $count, $rows);
        if ($this->picture->bits() === 16) {
            foreach ($pixels as $pixel) {
                $alpha[] = $a = ($pixel >> 48 & 65535) / 65535.0;
                $red[] = ($pixel >> 32 & 65535) * $a;
                $green[] = ($pixel >> 16 & 65535) * $a;
                $blue[] = ($pixel & 65535) * $a;
            }
        } elseif ($this->picture->opaque()) {
            foreach ($pixels as $pixel) {
                $red[] = ($pixel >> 16 & 255) * 257.0;
                $green[] = ($pixel >> 8 & 255) * 257.0;
                $blue[] = ($pixel & 255) * 257.0;
            }
        } else {
            foreach ($pixels as $pixel) {
                $alpha[] = $a = ($pixel >> 24 & 255) / 255.0;
                $a *= 257.0;
                $red[] = ($pixel >> 16 & 255) * $a;
                $green[] = ($pixel >> 8 & 255) * $a;
                $blue[] = ($pixel & 255) * $a;
            }
        }

        return [$red, $green, $blue, $alpha];
    }

    /** Packs a premultiplied colour (0..65535, alpha 0..1), cut by the share of the pixel that the picture covers. */
    public static function pack(float $red, float $green, float $blue, float $alpha, float $share): int
    {
        if ($alpha <= self::CLEAR || $share <= 0.0) {
            return 0;
        }
        $r = $red / $alpha;
        $g = $green / $alpha;
        $b = $blue / $alpha;
        $r = $r > 0.0 ? ($r < 65535.0 ? (int) ($r + 0.5) : 65535) : 0;
        $g = $g > 0.0 ? ($g < 65535.0 ? (int) ($g + 0.5) : 65535) : 0;
        $b = $b > 0.0 ? ($b < 65535.0 ? (int) ($b + 0.5) : 65535) : 0;
        $a = (int) (65535.0 * ($alpha < 1.0 ? $alpha : 1.0) * $share + 0.5);

        return $a << 48 | $r << 32 | $g << 16 | $b;
    }

    public function at(float $column, float $row): Point
    {
        return $this->inPicture($this->window->xOf($column), $this->window->yOf($row));
    }

    public function inPicture(float $x, float $y): Point
    {
        return $this->placement->toPicture(new Point($x, $y));
    }

    /** The finest grain, in picture pixels to one of the window, that a plate in perspective has inside the window. */
    private function finestPitch(): float
    {
        $back = Frame::plate($this->window, $this->placement)->fromPixels;
        $finest = INF;
        $corners = $this->placement->corners($this->picture->width(), $this->picture->height());
        foreach ($corners as [$x, $y]) {
            $finest = min($finest, $back->scaleAt(($x - $this->window->x) * $this->window->scale, ($y - $this->window->yOf(0)) * $this->window->scale + 0.5));
        }

        return max(0.02, $finest);
    }
}
