<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\UnreadablePicture;
use App\Models\Scene;

/** A picture that is dropped on the view becomes a plate on top, no larger than four fifths of the scene. */
final readonly class NewPlate
{
    private const LARGEST_SHARE = 0.8;

    public function __construct(private SceneStore $store, private BringPicture $bring, private BringPasses $passes)
    {
    }

    /** @throws UnreadablePicture */
    public function of(Scene $scene, IncomingPicture $file, float $x, float $y): Scene
    {
        [$name, $picture] = $this->bring->to($scene, $file);
        $brought = $this->passes->of($scene, $picture, $file);
        $fits = min(1, self::LARGEST_SHARE * $scene->width / $picture->width, self::LARGEST_SHARE * $scene->height / $picture->height);
        $pivot = [$picture->width / 2, $picture->height / 2];

        return $this->store->edit($scene->id, 'Add plate', static fn (FlatScene $flat): FlatScene => $flat->inserted([
            'id' => FlatScene::newId(), 'kind' => 'plate', 'name' => $flat->freeName($file->title()),
            // at full size the picture's own pixels fall on the scene's
            'values' => ['picture' => $name, 'place' => $fits < 1 ? [$x, $y] : [round($x - $pivot[0]) + $pivot[0], round($y - $pivot[1]) + $pivot[1]], 'pivot' => $pivot, 'scale' => max(0.005, $fits), ...$brought],
        ], null));
    }
}
