<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\NotPossible;
use App\Models\Edit;
use App\Models\Picture;
use App\Models\Scene;
use App\Models\Strip;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Closure;
use Illuminate\Support\Facades\DB;

/** Scenes in the database: read as documents, changed by edits that can be undone. */
final class SceneStore
{
    /** What belongs to the stage. */
    private const STAGE = ['stage' => true, 'ambient' => true, 'sources' => true];

    /** Edits that are kept; older ones can no longer be undone. */
    private const MOST_EDITS = 1000;

    /** @var array<string, array<array-key, Bounds|null>> by scene and revision */
    private array $boxes = [];

    /** @param  Closure(): Boxes  $boxesOf  asked for when it is needed: who finds boxes reads scenes itself */
    public function __construct(private readonly GestureKey $gesture, private readonly Closure $boxesOf)
    {
    }

    /** The scene with its strokes known by name. */
    public function document(Scene $scene): Document
    {
        return Document::read($this->flat($scene)->toDocument(), Registry::kinds());
    }

    /** The scene with all that is in it, to be written out. */
    public function whole(Scene $scene): Document
    {
        $snapshots = (new Snapshots($this))->whole($scene);

        return Document::read((new StrokeShelf($scene->id))->take($this->flat($scene)->toDocument()) + ($snapshots === [] ? [] : ['snapshots' => $snapshots]), Registry::kinds());
    }

    /**
     * Stores a new scene with the pictures that it names.
     *
     * @param  array<string, Picture>  $pictures  by name in the scene
     *
     * @throws SceneError
     */
    public function create(Document $document, array $pictures): Scene
    {
        return DB::transaction(function () use ($document, $pictures): Scene {
            $flat = FlatScene::fromDocument(array_diff_key($document->toArray(), ['snapshots' => true]));
            $scene = new Scene(['revision' => 1, 'order_revision' => 1, 'stage_revision' => 1, 'edits_done' => 0]);
            $this->fill($scene, $flat->scene);
            $scene->save();
            $this->addPictures($scene, $pictures);
            $this->checkPictures($document, array_map(strval(...), array_keys($pictures)));
            $this->writeStrips($scene, new FlatScene([], [], []), $flat);
            (new Snapshots($this))->take($scene, $document->snapshots);

            return $scene;
        });
    }

    /** @param  array<string, Picture>  $pictures by name in the scene */
    public function addPictures(Scene $scene, array $pictures): void
    {
        foreach ($pictures as $name => $picture) {
            DB::table('scene_pictures')->insertOrIgnore(['scene_id' => $scene->id, 'name' => $name, 'picture_id' => $picture->id]);
        }
    }

    /**
     * One gesture: changes the document, in one transaction, and remembers how to undo it.
     *
     * @param  callable(FlatScene): FlatScene  $change
     * @param  Seen  $seen  what the gesture goes by
     *
     * @throws SceneError when the outcome is no scene
     * @throws StripChanged when a strip is newer than what was seen
     */
    public function edit(string $sceneId, string $label, callable $change, Seen $seen = new Seen): Scene
    {
        return DB::transaction(function () use ($sceneId, $label, $change, $seen): Scene {
            $scene = Scene::query()->findOrFail($sceneId);
            if ($this->isWritten($scene)) {
                return $scene;
            }
            $this->checkSeen($scene, $seen);
            $shelf = new StrokeShelf($scene->id);
            $before = $this->flat($scene, $shelf)->normalised();
            // what the gesture works on can be read as a document: with strokes that are known by name
            $asked = new FlatScene($before->scene, $before->order, array_map($shelf->named(...), $before->strips));
            $document = Document::read($shelf->named(HeldGroups::letGo($asked, UsedMasks::inherited($asked, $change($asked)))->toDocument()), Registry::kinds());
            $this->checkPictures($document, array_map(strval(...), array_keys($this->pictureIds($scene))));
            $after = FlatScene::fromDocument($document->toArray());
            $difference = $before->differenceTo($after);
            if ($difference === null) {
                return $scene;
            }
            $scene->edits()->where('position', '>', $scene->edits_done)->delete();
            $position = $scene->edits_done + 1;
            $scene->edits()->create(['position' => $position, 'label' => mb_substr($label, 0, 120), 'before' => $shelf->put($difference['before']), 'after' => $shelf->put($difference['after'])]);
            $scene->edits()->where('position', '<=', $position - self::MOST_EDITS)->delete();
            $this->write($scene, $before, $after, $position);

            return $scene;
        });
    }

    /**
     * Takes the last edit back, or the last one taken back forth again; does nothing when there is none.
     *
     * @param  int|null  $revision  of the scene, as it was seen
     *
     * @throws SceneChanged when the scene is newer: what was seen as the last edit is not it any more
     */
    public function step(string $sceneId, bool $back, ?int $revision = null): Scene
    {
        return DB::transaction(function () use ($sceneId, $back, $revision): Scene {
            $scene = Scene::query()->findOrFail($sceneId);
            if ($this->isWritten($scene)) {
                return $scene;
            }
            if ($revision !== null && $revision !== $scene->revision) {
                throw new SceneChanged;
            }
            $edit = $scene->edits()->where('position', $back ? $scene->edits_done : $scene->edits_done + 1)->first();
            if ($edit instanceof Edit) {
                $shelf = new StrokeShelf($scene->id);
                $before = $this->flat($scene, $shelf)->normalised();
                $after = $before->with($back ? $edit->before : $edit->after);
                Document::read($shelf->named($after->toDocument()), Registry::kinds());
                $this->write($scene, $before, $after, $back ? $edit->position - 1 : $edit->position);
            }

            return $scene;
        });
    }

    /** @return array<string, string> the stored pictures' ids by their names in the scene */
    public function pictureIds(Scene $scene): array
    {
        /** @var array<string, string> */
        return DB::table('scene_pictures')->where('scene_id', $scene->id)->pluck('picture_id', 'name')->all();
    }

    /** @return array<string, array{int, int}> width and height of the scene's pictures by their names */
    public function sizes(Scene $scene): array
    {
        return array_map(static fn (Picture $picture): array => [$picture->width, $picture->height], $this->pictures($scene));
    }

    /**
     * What is known of the scene's pictures, and where on them something is, as they are cut out by what is written.
     *
     * @param  array<string, Picture>|null  $pictures  when they have been read
     * @param  FlatScene|null  $flat  the scene as it is written, when it has been read
     * @param  bool  $waits  whether boxes that are not known yet are found out now
     */
    public function known(Scene $scene, ?array $pictures = null, ?FlatScene $flat = null, bool $waits = true): Pictures
    {
        $pictures ??= $this->pictures($scene);
        $sizes = array_map(static fn (Picture $picture): array => [$picture->width, $picture->height, $picture->opaque], $pictures);
        $boxes = $this->boxes["{$scene->id} {$scene->revision} {$waits}"] ??= $scene->exists ? ($this->boxesOf)()->of($scene, $flat ?? $this->flat($scene), $pictures, $waits) : [];

        return new Pictures($sizes, $boxes);
    }

    /** @return array<string, Picture> by name in the scene */
    public function pictures(Scene $scene): array
    {
        $pictures = [];
        foreach ($scene->pictures()->get() as $picture) {
            $name = $picture->getAttribute('pivot')?->getAttribute('name');
            $pictures[is_string($name) ? $name : ''] = $picture;
        }

        return $pictures;
    }

    /**
     * The scene laid out flat, as it stands in the database: rows hold what the core has checked and written, so they are
     * taken as they are. Read for every draft, so without models, and with strokes known by name.
     */
    public function flat(Scene $scene, ?StrokeShelf $shelf = null): FlatScene
    {
        $masks = [];
        $shelf ??= new StrokeShelf($scene->id);
        $rows = DB::table('masks')->join('strips', 'strips.id', '=', 'masks.strip_id')->where('strips.scene_id', $scene->id)
            ->orderBy('masks.position')->get(['masks.strip_id', 'masks.key', 'masks.kind', 'masks.fields']);
        foreach ($rows as $row) {
            $masks[$row->strip_id][] = ['id' => $row->key, 'kind' => $row->kind] + $shelf->named(self::fields($row->fields));
        }
        $order = $strips = [];
        foreach (DB::table('strips')->where('scene_id', $scene->id)->orderBy('position')->get() as $row) {
            $order[] = [$row->key, $row->group_key];
            $strips[$row->key] = ['id' => $row->key, 'kind' => $row->kind, 'name' => $row->name] + self::fields($row->fields) + ['masks' => $masks[$row->id] ?? []];
        }

        return new FlatScene([
            'aumbrel' => Document::VERSION, 'title' => $scene->title, 'size' => [$scene->width, $scene->height],
            'white' => $scene->white,
        ] + $scene->unknown, $order, $strips);
    }

    /** @return array<string, mixed> */
    private static function fields(string $json): array
    {
        /** @var array<string, mixed> */
        return json_decode($json, true, 64, JSON_THROW_ON_ERROR);
    }

    private function write(Scene $scene, FlatScene $before, FlatScene $after, int $editsDone): void
    {
        $this->fill($scene, $after->scene);
        $scene->edits_done = $editsDone;
        $scene->revision++;
        if ($before->order !== $after->order) {
            $scene->order_revision = $scene->revision;
        }
        if (array_intersect_key($before->scene, self::STAGE) !== array_intersect_key($after->scene, self::STAGE)) {
            $scene->stage_revision = $scene->revision;
        }
        $scene->save();
        $this->writeStrips($scene, $before, $after);
    }

    /** @param  array<string, mixed>  $fields */
    private function fill(Scene $scene, array $fields): void
    {
        /** @var array{int, int} $size */
        $size = $fields['size'];
        $scene->fill([
            'title' => $fields['title'], 'width' => $size[0], 'height' => $size[1], 'white' => $fields['white'],
            'unknown' => array_diff_key($fields, array_flip(['aumbrel', 'title', 'size', 'white'])),
        ]);
    }

    private function writeStrips(Scene $scene, FlatScene $before, FlatScene $after): void
    {
        $gone = array_map(strval(...), array_keys(array_diff_key($before->strips, $after->strips)));
        $scene->strips()->whereIn('key', $gone)->delete();
        foreach ($after->order as $position => [$id, $group]) {
            $fields = $after->strips[$id];
            $isNew = ! isset($before->strips[$id]);
            if (! $isNew && $before->strips[$id] === $fields) {
                if (($before->order[$position] ?? null) !== [$id, $group]) {
                    $scene->strips()->where('key', $id)->update(['position' => $position, 'group_key' => $group]);
                }

                continue;
            }
            $strip = $isNew ? new Strip(['scene_id' => $scene->id, 'key' => $id, 'revision' => $scene->revision]) : $scene->strips()->where('key', $id)->firstOrFail();
            $strip->fill([
                'group_key' => $group, 'position' => $position, 'kind' => $fields['kind'], 'name' => $fields['name'],
                'fields' => array_diff_key($fields, array_flip(['id', 'kind', 'name', 'masks'])), 'revision' => $scene->revision,
            ]);
            $strip->save();
            $strip->masks()->delete();
            /** @var list<array<string, mixed>> $masks */
            $masks = (new StrokeShelf($scene->id))->put(is_array($fields['masks'] ?? null) ? $fields['masks'] : []);
            foreach ($masks as $at => $mask) {
                $strip->masks()->create(['position' => $at, 'key' => $mask['id'], 'kind' => $mask['kind'], 'fields' => array_diff_key($mask, array_flip(['id', 'kind']))]);
            }
        }
    }

    /** Remembers the gesture of this request; says whether it has been written before. */
    private function isWritten(Scene $scene): bool
    {
        if ($this->gesture->key === null || DB::table('gestures')->insertOrIgnore(['key' => $this->gesture->key, 'scene_id' => $scene->id, 'created_at' => now()]) === 1) {
            return false;
        }
        if (DB::table('gestures')->where('key', $this->gesture->key)->value('scene_id') !== $scene->id) {
            throw new NotPossible(GestureKey::HEADER, 'A gesture of that name was made in another scene: every gesture has a name of its own.');
        }

        return true;
    }

    /** @throws StripChanged|SceneChanged */
    private function checkSeen(Scene $scene, Seen $seen): void
    {
        if ($seen->order !== null && $seen->order < $scene->order_revision) {
            throw new SceneChanged;
        }
        foreach ($seen->strips as $id => $revision) {
            if (FlatScene::isPart((string) $id)) {
                $revision < $scene->stage_revision ? throw new SceneChanged : null;

                continue;
            }
            $strip = $scene->strips()->where('key', (string) $id)->first();
            if ($strip === null) {
                throw new StripChanged((string) $id, (string) $id);
            }
            if ($strip->revision !== $revision) {
                throw new StripChanged((string) $id, $strip->name);
            }
        }
    }

    /**
     * @param  list<string>  $names
     *
     * @throws SceneError
     */
    private function checkPictures(Document $document, array $names): void
    {
        foreach (array_diff($document->pictures(), $names) as $missing) {
            throw SceneError::expected('values.picture', 'a picture of this scene', $missing);
        }
    }
}
