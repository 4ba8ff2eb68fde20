<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Scene\Standings;

/** What something new is meant for: a plate that is cut out and stands in the scene. */
final readonly class Aim
{
    /** From where a light that is drawn by a line comes: to the right of the middle and above it, in the plate's longer sides. */
    private const FROM = [0.35, -0.85];

    /** @param  float  $longer  the longer side of what is there of the plate, scene pixels */
    private function __construct(public Point $middle, private float $longer)
    {
    }

    /**
     * The plate in the scene; null where there is none, or where it is the backdrop, which is everywhere.
     *
     * @param  callable(): Pictures  $known
     */
    public static function at(FlatScene $scene, ?string $plate, callable $known): ?self
    {
        $plates = array_values(array_filter(array_column($scene->order, 0), $scene->isPlate(...)));
        if ($plate === null || ! in_array($plate, $plates, true) || $plates[0] === $plate) {
            return null;
        }
        $strip = Document::read($scene->toDocument(), Registry::kinds())->find($plate);
        $box = $strip === null ? null : Standings::box($strip, $known());

        return $box === null ? null : new self($box->middle(), max(8.0, $box->right - $box->left, $box->bottom - $box->top));
    }

    /** Where a light stands that aims at it, within the scene. */
    public function origin(int $width, int $height): Point
    {
        return new Point(
            min($width * 0.98, max($width * 0.02, $this->middle->x + self::FROM[0] * $this->longer)),
            min($height * 0.98, max($height * 0.02, $this->middle->y + self::FROM[1] * $this->longer)),
        );
    }
}
