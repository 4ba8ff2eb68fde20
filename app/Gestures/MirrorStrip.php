<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use App\Scenes\StrokeShelf;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene as Document;

/** A strip about a line, about the upright middle of a plate, or about that of the picture: with its falloff. */
final class MirrorStrip extends Gesture
{
    public function __construct(private readonly SceneStore $store)
    {
    }

    public function rules(): array
    {
        return [
            'strip' => 'required|string|max:40', 'revision' => 'sometimes|integer|min:0', 'plate' => 'sometimes|nullable|string|max:40',
            'line' => 'sometimes|nullable|array|list|size:2', 'line.*' => 'array|list|size:2', 'line.*.*' => 'numeric|between:-1000000,1000000',
        ];
    }

    public function label(Asked $asked): string
    {
        return 'Mirror';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $id = $asked->strip();
        // strokes are mirrored point by point: here they are wanted themselves
        $whole = $scene->with(['strips' => [$id => (new StrokeShelf((string) $asked->scene->id))->take($scene->strip($id))]]);
        $document = Document::read($whole->toDocument(), Registry::kinds());
        $strip = $document->find($id);
        if ($strip === null) {
            return $scene;
        }
        $mirror = match (true) {
            $asked->has('line') => Mirror::about(Line::read([$asked->point('line.0')->toArray(), $asked->point('line.1')->toArray()], 'line')),
            $asked->has('plate') => Mirror::upright((new Footings($document, $this->store->known($asked->scene)))->of($asked->text('plate'))->middle->x),
            default => Mirror::upright($document->width / 2),
        };
        $masks = array_map(static fn (MaskEntry $mask): array => $mask->on !== Ground::Plate && in_array(Ground::Scene, $mask->mask::grounds(), true) ? ['values' => $mask->values->mirrored($mirror)] + $mask->whole() : $mask->toArray(), $strip->masks);

        return $scene->with(['strips' => [$id => array_replace($scene->strip($id), ['values' => $strip->kind->mirrored($strip->values, $mirror), 'masks' => $masks])]]);
    }
}
