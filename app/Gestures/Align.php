<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Plate\Horizon;
use Aumbrel\Core\Scene\Strip;

/** Lays the plate's horizon on that of the lowest plate. */
final class Align extends OfStrip
{
    public function __construct(private readonly SceneStore $store)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Align to the horizon';
    }

    public function find(Asked $asked): mixed
    {
        $document = $this->store->document($asked->scene);
        $plates = array_values(array_filter($document->everyStrip(), static fn (Strip $other): bool => $other->kind instanceof Pictured));
        $plate = $document->plate($asked->strip()) === null ? null : $document->find($asked->strip());
        if ($plate === null) {
            throw new NotPossible('strip', 'This strip is no plate.');
        }
        try {
            return Horizon::aligned($plate, $plates[0], $this->store->sizes($asked->scene));
        } catch (SceneError $error) {
            throw new NotPossible($error->field, ucfirst($error->reason).'.');
        }
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        return $scene->withValues($asked->strip(), FlatScene::fields($asked->found()));
    }
}
