<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\PlateStudies;
use App\Render\Study;
use App\Scenes\FlatScene;
use Aumbrel\Core\Bearing\Method;

/** Reads where a plate's light comes from off its outline; refused in a sentence when there is too little to go on. */
final class EstimateBearing extends OfStrip
{
    public function __construct(private readonly PlateStudies $studies)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Estimate the bearing';
    }

    public function find(Asked $asked): mixed
    {
        $found = FlatScene::fields($this->studies->of($asked->scene, $asked->strip(), Study::Bearing));
        if (! isset($found['azimuth'])) {
            throw new NotPossible('bearing', is_string($found['why'] ?? null) ? $found['why'] : 'Nothing was found.');
        }

        return ['by' => Method::Outline->value, ...array_intersect_key($found, array_flip(['azimuth', 'elevation', 'spread', 'confidence']))];
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        return $scene->withValues($asked->strip(), ['bearing' => $asked->found()]);
    }
}
