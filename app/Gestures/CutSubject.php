<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Render\PlateStudies;
use App\Render\Study;
use App\Scenes\FlatScene;
use Aumbrel\Core\Kind\Join;

/** A first cut of a plate, of one place on the subject or of a box round it: a painted cut with the strokes that were found, which others improve. */
final class CutSubject extends OfStrip
{
    public function __construct(private readonly PlateStudies $studies)
    {
    }

    public function rules(): array
    {
        return [...parent::rules(), 'where' => 'required|array|list|min:2|max:4', 'where.*' => 'numeric|between:-1000000,1000000'];
    }

    public function label(Asked $asked): string
    {
        return 'Find the subject';
    }

    /** In pixels of the plate's picture: a place (x, y), or a box (left, top, right, bottom). */
    public function find(Asked $asked): mixed
    {
        $numbers = array_map(static fn (mixed $number): float => is_numeric($number) ? (float) $number : 0.0, array_values($asked->fields('where')));

        return $this->studies->of($asked->scene, $asked->strip(), Study::Guess, count($numbers) === 4 ? $numbers : array_slice($numbers, 0, 2));
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $plate = $scene->plate($asked->strip());
        $masks = FlatScene::fields($plate['masks'] ?? []);
        $isFirst = array_filter($masks, static fn (mixed $mask): bool => (FlatScene::fields($mask)['on'] ?? '') === 'plate') === [];
        $plate['masks'] = [...$masks, [
            'id' => FlatScene::newId(), 'kind' => 'painted cut', 'on' => 'plate', 'join' => $isFirst ? Join::Intersect->value : Join::Add->value,
            'values' => ['strokes' => $asked->found()],
        ]];

        return $scene->with(['strips' => [$asked->strip() => $plate]]);
    }
}
