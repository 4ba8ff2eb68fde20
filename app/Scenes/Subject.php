<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Scene\Standings;
use Aumbrel\Core\Scene\Strip;

/** Which plate something that belongs to a cut-out is meant for. */
final class Subject
{
    /**
     * The chosen one when it is cut out; else the one whose feet are the nearest. Null when nothing is cut out.
     *
     * @param  callable(): Pictures  $known
     */
    public static function of(FlatScene $scene, ?string $chosen, Point $near, callable $known): ?string
    {
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $pictures = $known();
        $plates = array_filter($document->everyStrip(), static fn (Strip $strip): bool => $strip->kind instanceof Pictured && ! $strip->muted && $pictures->isCutOut($strip));
        $feet = new Footings($document, $pictures);
        $nearest = null;
        foreach ($plates as $plate) {
            if ($plate->id === $chosen) {
                return $chosen;
            }
            $stand = Standings::of($plate, $pictures, $feet);
            if ($stand !== null && ($nearest === null || $stand->foot()->distanceTo($near) <= $nearest[1])) {
                $nearest = [$plate->id, $stand->foot()->distanceTo($near)];
            }
        }

        return $nearest[0] ?? null;
    }
}
