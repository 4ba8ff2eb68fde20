<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Scene;
use App\Scenes\BringPicture;
use App\Scenes\FlatScene;
use App\Scenes\IncomingPicture;
use App\Scenes\NewScene;
use App\Scenes\SceneStore;
use Throwable;

/** A picture that becomes a scene of its own with a rig used on it. */
final readonly class NewFromRig
{
    public function __construct(private NewScene $new, private RigShelf $shelf, private SceneStore $store, private BringPicture $bring)
    {
    }

    /**
     * @throws \App\Codecs\UnreadablePicture
     * @throws \Aumbrel\Core\Fault\SceneError when the rig needs a plate that a picture alone does not have
     */
    public function of(string $rig, IncomingPicture $file): Scene
    {
        $kept = $this->shelf->find($rig);
        $scene = $this->new->of($file);
        try {
            $names = [];
            foreach ($this->shelf->pictures($rig) as $name => $picture) {
                $names[$name] = $this->bring->called($scene, (string) $name, $picture);
            }
            $shown = $kept->showing(static fn (string $name): ?string => $names[$name] ?? null);

            return $this->store->edit($scene->id, 'Use a rig', fn (FlatScene $flat): FlatScene => RiggedScene::of($flat, $shown, null, $this->store->known($scene)));
        } catch (Throwable $error) {
            // nothing half made stays behind
            $scene->forceDelete();
            throw $error;
        }
    }
}
