<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Models\Picture;
use App\Models\Scene;
use App\Models\Strip as StripRow;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Scene\Strip;

/** What the interface is told of a scene. */
final readonly class SceneState
{
    public function __construct(private SceneStore $store)
    {
    }

    /** @return array<string, mixed> */
    public function of(Scene $scene): array
    {
        $document = $this->store->document($scene);
        $revisions = $scene->strips()->pluck('revision', 'key')->all();
        $undo = $scene->edits()->where('position', $scene->edits_done)->value('label');
        $redo = $scene->edits()->where('position', $scene->edits_done + 1)->value('label');
        $stored = $this->store->pictures($scene);
        $known = SceneStore::knownOf($stored);

        return [
            'id' => $scene->id,
            'title' => $scene->title,
            'width' => $scene->width,
            'height' => $scene->height,
            'white' => $scene->white,
            'revision' => $scene->revision,
            'orderRevision' => $scene->order_revision,
            'strips' => array_map(fn (Strip $strip): array => $this->strip($strip, $revisions, $known), $document->strips),
            'pictures' => (object) array_map(static fn (Picture $picture): array => ['width' => $picture->width, 'height' => $picture->height, 'opaque' => $picture->opaque], $stored),
            'undo' => $undo,
            'redo' => $redo,
            ...self::noticed($document, $known),
        ];
    }

    /**
     * The compass and the readings.
     *
     * @return array<string, mixed>
     */
    public static function noticed(Document $document, Pictures $pictures): array
    {
        $readings = new Readings($document, $pictures);

        return ['compass' => $readings->compass->toArray(), 'readings' => array_map(static fn (Reading $reading): array => $reading->toArray(), $readings->all())];
    }

    /** @return array<string, mixed> for the scenes wall */
    public function card(Scene $scene): array
    {
        return [
            'id' => $scene->id, 'title' => $scene->title, 'width' => $scene->width, 'height' => $scene->height,
            'revision' => $scene->revision, 'deleted' => $scene->deleted_at?->toIso8601ZuluString(), 'touched' => $scene->updated_at->toIso8601ZuluString(),
            'strips' => StripRow::query()->where('scene_id', $scene->id)->count(),
        ];
    }

    /**
     * @param  array<string, int>  $revisions
     * @return array<string, mixed>
     */
    private function strip(Strip $strip, array $revisions, Pictures $pictures): array
    {
        return [
            ...$strip->toArray(),
            'masks' => array_map(static fn (MaskEntry $mask): array => [...$mask->toArray(), 'problem' => $mask->mask->problem()], $strip->masks),
            'family' => $strip->kind::family()->value,
            'revision' => $revisions[$strip->id] ?? 0,
            'outlines' => (object) $strip->kind->outlines(),
            ...($strip->kind instanceof Pictured ? ['maps' => self::maps($strip->kind, $pictures)] : []),
            ...($strip->isGroup() ? ['strips' => array_map(fn (Strip $inside): array => $this->strip($inside, $revisions, $pictures), $strip->strips)] : []),
        ];
    }

    /**
     * The ways between a plate's picture and the scene: three by three numbers, row after row.
     *
     * @return array{toScene: list<float>, toPlate: list<float>}
     */
    private static function maps(Pictured $plate, Pictures $pictures): array
    {
        $map = $plate->placement(...$pictures->size($plate->picture()) ?? [1, 1])->map();

        return ['toScene' => $map->h, 'toPlate' => $map->inverse()->h];
    }
}
