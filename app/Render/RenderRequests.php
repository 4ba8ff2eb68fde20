<?php

declare(strict_types=1);

namespace App\Render;

use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use App\Scenes\StrokeShelf;
use Aumbrel\Core\Render\Shown;

/** What is asked of the render processes for a stored scene: with its pictures, and with its strokes at hand. */
final readonly class RenderRequests
{
    public function __construct(private SceneStore $store)
    {
    }

    /**
     * @param  string  $kind  as {@see RenderRequest}
     * @param  array{float, float, float, float}|null  $window  x, y, width, height in scene pixels; null for the whole scene
     * @param  list<string>  $strips  whose contributions are wanted
     * @param  string|null  $below  the strip that is being changed
     * @param  FlatScene|null  $flat  the scene as it would be; null for as it stands
     */
    public function of(Scene $scene, string $kind, ?array $window, float $scale, array $strips = [], ?string $below = null, ?FlatScene $flat = null, Shown $as = Shown::Colours): RenderRequest
    {
        return new RenderRequest(
            $kind, ($flat ?? $this->store->flat($scene))->toDocument(), $this->store->pictureIds($scene),
            $window ?? [0.0, 0.0, (float) $scene->width, (float) $scene->height], $scale, $strips, $below,
            kept: (new StrokeShelf($scene->id))->texts(...), as: $as->value,
        );
    }
}
