<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\PlateStudies;
use App\Render\Study;
use App\Scenes\FlatScene;

/** Marks where a cut-out touches the ground, at the ends of its legs. */
final class FindFeet extends OfStrip
{
    public function __construct(private readonly PlateStudies $studies)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Find its feet';
    }

    public function find(Asked $asked): mixed
    {
        $feet = $this->studies->of($asked->scene, $asked->strip(), Study::Feet);
        if (! is_array($feet) || $feet === []) {
            throw new NotPossible('strip', 'Nothing is left of its cut-out, so that it stands nowhere.');
        }

        return array_map(static fn (mixed $foot): array => is_array($foot) ? array_map(static fn (mixed $value): float => is_numeric($value) ? round((float) $value, 1) : 0.0, array_values($foot)) : [0.0, 0.0], array_values($feet));
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        return $scene->withValues($asked->strip(), ['feet' => $asked->found()]);
    }
}
