<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Rigs\RiggedScene;
use App\Rigs\RigShelf;
use App\Scenes\BringPicture;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Rig\Rig;

/** The strips of a rig, or those that were copied last, in this scene: for the chosen plate, or for the scene as a whole. */
final class UseRig extends Gesture
{
    public function __construct(private readonly RigShelf $shelf, private readonly SceneStore $store, private readonly BringPicture $bring)
    {
    }

    public function rules(): array
    {
        return ['rig' => 'required|string|max:26', 'plate' => 'sometimes|nullable|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return $asked->text('rig') === RigShelf::COPIED ? 'Put in copied strips' : 'Use a rig';
    }

    /** The rig, with its pictures brought to the scene. */
    public function find(Asked $asked): mixed
    {
        $id = $asked->text('rig');
        $rig = $this->shelf->find($id);
        $pictures = $this->shelf->pictures($id);
        // a plate that it needs is asked for before pictures are brought
        $rig->about($this->store->document($asked->scene), $asked->optionalText('plate'));
        $names = [];
        foreach ($pictures as $name => $picture) {
            $names[$name] = $this->bring->called($asked->scene, (string) $name, $picture);
        }

        return $rig->showing(static fn (string $name): ?string => $names[$name] ?? null);
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $rig = $asked->found();
        if (! $rig instanceof Rig) {
            throw new SceneError('rig', 'this rig is not on the shelf any more');
        }

        return RiggedScene::of($scene, $rig, $asked->optionalText('plate'), $this->store->known($asked->scene));
    }
}
