<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AddStrip;
use App\Http\Requests\ChangeStrip;
use App\Http\Requests\GoesBy;
use App\Http\Upload;
use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\NewPlate;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Scenes\Seen;
use App\Scenes\StripEdits;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class StripController
{
    public function __construct(private readonly SceneStore $store, private readonly SceneState $state)
    {
    }

    public function add(AddStrip $request, Scene $scene): JsonResponse
    {
        $changed = $this->store->edit($scene->id, "Add {$request->kind()}", static fn (FlatScene $flat): FlatScene => StripEdits::fresh(
            $flat, $request->kind(), $request->centre(), $request->span(), $request->above(),
        ));

        return new JsonResponse($this->state->of($changed), 201);
    }

    public function addPlate(Request $request, Scene $scene, NewPlate $new, PictureLibrary $library): JsonResponse
    {
        /** @var array{x?: numeric-string, y?: numeric-string} $place */
        $place = $request->validate(['x' => 'sometimes|numeric|between:-1000000,1000000', 'y' => 'sometimes|numeric|between:-1000000,1000000']);
        $file = Upload::of($request);
        $changed = $new->of($scene, $file, (float) ($place['x'] ?? $scene->width / 2), (float) ($place['y'] ?? $scene->height / 2));

        return new JsonResponse([...$this->state->of($changed), 'notice' => $library->notice($file->path, $file->name)], 201);
    }

    public function change(ChangeStrip $request, Scene $scene, string $strip): JsonResponse
    {
        $changed = $this->store->edit($scene->id, $request->label(), static fn (FlatScene $flat): FlatScene => StripEdits::change($flat, $strip, $request->change()),
            GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed));
    }

    /** Several strips in one gesture. */
    public function changeSeveral(Request $request, Scene $scene): JsonResponse
    {
        $request->validate([
            'label' => 'sometimes|string|max:80', 'revisions' => 'required|array|min:1|max:200', 'revisions.*' => 'integer', 'changes' => 'required|array|min:1|max:200',
            'changes.*' => 'array', ...ChangeStrip::fieldRules('changes.*.'),
        ]);
        /** @var array<array-key, array<string, mixed>> $changes */
        $changes = $request->array('changes');
        $seen = [];
        foreach (array_keys($changes) as $id) {
            $seen[$id] = $request->integer("revisions.{$id}");
        }
        $changed = $this->store->edit($scene->id, $request->string('label', 'Change several')->value(), static function (FlatScene $flat) use ($changes): FlatScene {
            foreach ($changes as $id => $change) {
                $flat = StripEdits::change($flat, (string) $id, $change);
            }

            return $flat;
        }, new Seen($seen));

        return new JsonResponse($this->state->of($changed));
    }

    public function duplicate(Request $request, Scene $scene, string $strip): JsonResponse
    {
        $changed = $this->store->edit($scene->id, 'Duplicate', static fn (FlatScene $flat): FlatScene => StripEdits::duplicate($flat, $strip), GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed), 201);
    }

    public function remove(Request $request, Scene $scene, string $strip): JsonResponse
    {
        $changed = $this->store->edit($scene->id, 'Delete', static fn (FlatScene $flat): FlatScene => StripEdits::remove($flat, $strip), GoesBy::strip($request, $strip));

        return new JsonResponse($this->state->of($changed));
    }

    public function order(Request $request, Scene $scene): JsonResponse
    {
        /** @var array{strips: list<string>} $order */
        $order = $request->validate(['strips' => 'required|array|list', 'strips.*' => 'string']);
        $changed = $this->store->edit($scene->id, 'Reorder', static fn (FlatScene $flat): FlatScene => StripEdits::reorder($flat, $order['strips']), GoesBy::order($request));

        return new JsonResponse($this->state->of($changed));
    }
}
