<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

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
        $kind = $strip?->kind;
        $pictures = $known();
        $box = $strip === null ? null : $pictures->box($strip);
        if (! $kind instanceof Pictured || $box === null) {
            return null;
        }
        $map = $kind->placement(...$pictures->size($kind->picture()) ?? [1, 1])->map();
        $corners = array_map($map->map(...), [new Point($box->left, $box->top), new Point($box->right, $box->top), new Point($box->right, $box->bottom), new Point($box->left, $box->bottom)]);
        [$xs, $ys] = [array_map(static fn (Point $corner): float => $corner->x, $corners), array_map(static fn (Point $corner): float => $corner->y, $corners)];
        $longer = max(8.0, max($xs) - min($xs), max($ys) - min($ys));

        return new self(new Point((max($xs) + min($xs)) / 2, (max($ys) + min($ys)) / 2), $longer);
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
