<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use App\Scenes\Seen;
use Aumbrel\Core\Reading\Pictures;

/** Several strips in one gesture. */
final class ChangeStrips extends Gesture
{
    public function __construct(private readonly SceneStore $store)
    {
    }

    public function rules(): array
    {
        return [
            'label' => 'sometimes|string|max:80', 'revisions' => 'required|array|min:1|max:200', 'revisions.*' => 'integer', 'changes' => 'required|array|min:1|max:200',
            'changes.*' => 'array', ...ChangeStrip::fieldRules('changes.*.'),
        ];
    }

    public function label(Asked $asked): string
    {
        return $asked->optionalText('label') ?? 'Change several';
    }

    public function seen(Asked $asked): Seen
    {
        $revisions = $asked->fields('revisions');
        $seen = [];
        foreach (array_keys($asked->fields('changes')) as $id) {
            $seen[$id] = is_numeric($revisions[$id] ?? null) ? (int) $revisions[$id] : 0;
        }

        return new Seen($seen);
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        foreach ($asked->fields('changes') as $id => $change) {
            $scene = ChangeStrip::changed($scene, (string) $id, FlatScene::fields($change, 'changes'), fn (): Pictures => $this->store->known($asked->scene));
        }

        return $scene;
    }
}
