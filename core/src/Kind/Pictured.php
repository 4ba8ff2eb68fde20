<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Bearing\FoundBearing;
use Aumbrel\Core\Body\Form;
use Aumbrel\Core\CutOut\CutMask;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Seen\DepthPass;
use Aumbrel\Core\Seen\SeenPlate;

/** A picture that stands in the scene: a plate, as other strips know it. */
interface Pictured extends StripKind
{
    /** The plain name of its picture. */
    public function picture(): string;

    /** How a picture of a size lies in the scene. */
    public function placement(int $width, int $height): Placement;

    /**
     * As a window sees it, cut out as its masks and its edge say.
     *
     * @param  list<CutMask>  $masks  those that lie on it
     */
    public function seen(PictureSource $picture, array $masks, Window $window): SeenPlate;

    /**
     * Where its outline lies; null when nothing cuts it out.
     *
     * @param  list<CutMask>  $masks  those that lie on it
     */
    public function outline(PictureSource $picture, array $masks): ?PlateOutline;

    /** Whether its edge is softened beyond what its picture has. */
    public function softens(): bool;

    /** How it is in the scene; null when that was not said, and is guessed from how it looks. */
    public function stance(): ?Stance;

    /** @return list<Point> the feet that were marked, in its picture's pixels */
    public function feet(): array;

    /** How far before its wall it hangs, px. */
    public function gap(): float;

    /** How far away it is said to be, in distances of the scene's contact row; null when that follows from where it stands. */
    public function distance(): ?float;

    /** The picture that tells how far away each of its pixels is; null without one. */
    public function depthPass(): ?DepthPass;

    /** @return array<string, string> the pictures that belong to it and show the same, by the value that names them */
    public function passes(): array;

    /** How its form is made. */
    public function form(): Form;

    /** Whether shadows that others throw fall on it. */
    public function receives(): bool;

    /**
     * The values that let it stand with its feet elsewhere, at the same height in space: it grows toward the viewer.
     *
     * @param  Point  $feet  the middle of its feet, in the scene
     * @param  float|null  $horizon  the scene's; without one it keeps its size
     * @return array<string, mixed>
     */
    public function walkedTo(Point $feet, Point $to, ?float $horizon): array;

    /** How its bearing was found, in its own picture; null when it is not known. */
    public function found(): ?FoundBearing;

    /** How far its own light is taken down, 0..1. */
    public function evened(): float;

    /** Where its light comes from as the scene sees it: mirrored and turned with it; null when it is not known. */
    public function bearing(): ?Bearing;

    /**
     * Its bearing with other values.
     *
     * @param  array<string, mixed>  $values
     */
    public function bearingWith(array $values): ?Bearing;

    /**
     * The values that say that its light comes from there, found by hand.
     *
     * @param  Bearing  $seen  as the scene sees it
     * @return array<string, mixed>
     */
    public function litFrom(Bearing $seen): array;

    /**
     * The values that mirror it where it stands.
     *
     * @return array<string, mixed>
     */
    public function mirroring(): array;
}
