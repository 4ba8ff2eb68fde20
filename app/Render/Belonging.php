<?php

declare(strict_types=1);

namespace App\Render;

use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Consequence;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Stage\SceneSource;

/** What belongs to a source of a stored scene, measured on its picture, and how it arrives on the desk. */
final readonly class Belonging
{
    /** Width of the patch on which the picture's brightness is measured, scene pixels. */
    private const PATCH = 9;

    public function __construct(private SceneStore $store, private Patches $patches)
    {
    }

    /**
     * @return list<Proposal> back to front
     *
     * @throws SceneError when there is no such source
     */
    public function of(Scene $scene, string $source): array
    {
        $document = Document::read($this->store->flat($scene)->toDocument(), Registry::kinds());
        $found = $document->source($source) ?? throw new SceneError('source', "there is no source \"{$source}\" in this scene");

        return (new Consequence($document, $this->store->known($scene), Registry::kinds()))->of($found, function (Point $at) use ($scene): ?float {
            $mean = $this->patches->mean($scene, $at, self::PATCH);

            return $mean === null ? null : Luma::of($mean->red, $mean->green, $mean->blue);
        });
    }

    /**
     * The flat scene with a group on top that holds the strips of some proposals.
     *
     * @param  list<Proposal>  $proposals  back to front
     * @param  (callable(Proposal): string)|null  $named  the id of each one's strip; a new one by itself
     */
    public static function taken(FlatScene $scene, string $source, array $proposals, ?callable $named = null): FlatScene
    {
        $lamp = $scene->part(SceneSource::NAMED.$source);
        $group = FlatScene::newId();
        $name = is_string($lamp['name'] ?? null) ? mb_substr($lamp['name'], 0, 60) : 'source';
        $order = [...$scene->order, [$group, null]];
        $strips = [$group => $scene->newGroup($group, "Light of {$name}")];
        foreach ($proposals as $proposal) {
            $id = $named === null ? FlatScene::newId() : $named($proposal);
            $order[] = [$id, $group];
            $strips[$id] = self::strip($id, $proposal, $scene, $source);
        }

        return $scene->with(['order' => $order, 'strips' => $strips]);
    }

    /**
     * A proposal as a strip of a flat scene.
     *
     * @param  string|null  $source  that it hangs on
     * @return array<string, mixed>
     */
    public static function strip(string $id, Proposal $proposal, FlatScene $scene, ?string $source): array
    {
        return [
            'id' => $id, 'kind' => $proposal->kind::key(), 'name' => $scene->freeName(mb_substr($proposal->name, 0, 70)), 'values' => $proposal->values,
            ...($proposal->level === null ? [] : ['level' => $proposal->level]), ...($proposal->amount === null ? [] : ['amount' => $proposal->amount]),
            ...($proposal->confinedTo === null ? [] : ['confinedTo' => $proposal->confinedTo]),
            ...($source !== null && is_subclass_of($proposal->kind, Driven::class) ? ['source' => $source] : []),
        ];
    }
}
