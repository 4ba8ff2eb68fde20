<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Models\Picture;
use App\Models\Scene;
use App\Models\Strip as StripRow;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Shines;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\StripMask;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Source;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\Values;

/** What the interface is told of a scene. */
final readonly class SceneState
{
    public function __construct(private SceneStore $store)
    {
    }

    /**
     * @param  bool  $waits  whether what is not known yet of its plates is found out now; after a gesture the hand goes on
     * @return array<string, mixed>
     */
    public function of(Scene $scene, bool $waits = true): array
    {
        $document = $this->store->document($scene);
        $revisions = $scene->strips()->pluck('revision', 'key')->all();
        $undo = $scene->edits()->where('position', $scene->edits_done)->value('label');
        $redo = $scene->edits()->where('position', $scene->edits_done + 1)->value('label');
        $stored = $this->store->pictures($scene);
        $known = $this->store->known($scene, $stored, waits: $waits);
        $hanging = new Hanging($document, $known);

        return [
            'id' => $scene->id,
            'title' => $scene->title,
            'width' => $scene->width,
            'height' => $scene->height,
            'white' => $scene->white,
            'revision' => $scene->revision,
            'orderRevision' => $scene->order_revision,
            'stageRevision' => $scene->stage_revision,
            'stage' => [...$document->stage->toArray(), 'lines' => $document->stage->lines()],
            'ambient' => $document->ambient->toArray(),
            'sources' => array_map(static fn (SceneSource $source): array => self::source($source, $document), $document->sources),
            'strips' => array_map(fn (Strip $strip): array => $this->strip($strip, $revisions, $known, $hanging), $document->strips),
            'pictures' => (object) array_map(static fn (Picture $picture): array => ['width' => $picture->width, 'height' => $picture->height, 'opaque' => $picture->opaque], $stored),
            'snapshots' => (new Snapshots($this->store))->all($scene),
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
            'strips' => $scene->strips_count ?? StripRow::query()->where('scene_id', $scene->id)->count(), 'folder' => $scene->folder, 'made' => $scene->created_at->toIso8601ZuluString(),
        ];
    }

    /**
     * @param  array<string, int>  $revisions
     * @return array<string, mixed>
     */
    private function strip(Strip $strip, array $revisions, Pictures $pictures, Hanging $hanging): array
    {
        return [
            ...$strip->toArray(),
            'masks' => array_map(static fn (MaskEntry $mask): array => [...$mask->whole(), ...$mask->toArray(), 'problem' => $mask->problem() ?? self::missing($mask, $hanging->scene)], $strip->masks),
            'family' => $strip->kind::family()->value,
            'revision' => $revisions[$strip->id] ?? 0,
            ...self::shown($strip, $hanging),
            'colours' => (object) self::colours($strip->kind, $strip->values, $hanging->scene->white),
            ...($strip->kind instanceof Shines ? ['shines' => $strip->kind->isDrawn()] : []),
            ...($strip->kind instanceof Pictured ? ['maps' => self::maps($strip->kind, $pictures), ...self::standing($strip, $hanging)] : []),
            ...($strip->isGroup() ? ['strips' => array_map(fn (Strip $inside): array => $this->strip($inside, $revisions, $pictures, $hanging), $strip->strips)] : []),
        ];
    }

    /** What a mask looks at is gone. */
    private static function missing(MaskEntry $mask, Document $document): ?string
    {
        $of = $mask->mask instanceof StripMask ? $mask->mask->of() : null;

        return $of === null || $document->find($of) !== null ? null : 'The strip whose brightness it takes is gone: choose another one.';
    }

    /**
     * What handles go by: the lines of a strip, and the values that its source gives it.
     *
     * @return array{outlines: object, inForce: object, atLimit: bool}
     */
    public static function shown(Strip $strip, Hanging $hanging): array
    {
        $drive = $hanging->drive($strip);

        return [
            'outlines' => (object) $hanging->asLit($strip)->outlines($hanging->scene->stage), 'inForce' => (object) $hanging->inForce($strip),
            'atLimit' => $drive !== null && Hanging::isClamped($strip, $drive),
        ];
    }

    /**
     * What the colours of lights come to: a swatch, the stops that a gel takes of it, and whether a gel is at the end of what there is.
     *
     * @return array<string, array{swatch: string, loss: float, atEnd: bool}> by value
     */
    private static function colours(StripKind|Source $kind, Values $values, float $white): array
    {
        $colours = [];
        foreach ($kind::parameters() as $parameter) {
            if ($parameter->type instanceof LightColourValue) {
                $colour = $values->object($parameter->name, LightColour::class);
                $colours[$parameter->name] = ['swatch' => $colour->linear($white)->encoded()->toHex(), 'loss' => round($colour->loss($white), 2), 'atEnd' => $colour->isAtEnd()];
            }
        }

        return $colours;
    }

    /** @return array<string, mixed> where a source is seen */
    private static function source(SceneSource $source, Document $document): array
    {
        return [...$source->toArray(), 'colours' => (object) self::colours($source->kind, $source->values, $document->white), 'seenAt' => $source->kind->seenAt($document->stage->camera)?->toArray()];
    }

    /** @return array<string, mixed> how a plate is in the scene, and its feet */
    private static function standing(Strip $plate, Hanging $hanging): array
    {
        return [
            'stance' => $hanging->footings->stance($plate)->value,
            'standsOn' => array_map(static fn (Point $foot): array => $foot->toArray(), $hanging->footings->feet($plate)),
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
