<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\NotPossible;
use App\Models\Scene;
use Aumbrel\Core\Scene\Snapshot;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;

/** Named variants of scenes, in rows of their own: a draft reads none of them. One that was thrown away can be brought back for a while. */
final readonly class Snapshots
{
    public function __construct(private SceneStore $store)
    {
    }

    /** @return list<array{id: string, name: string, made: string}> the first that was made first */
    public function all(Scene $scene): array
    {
        return array_map(static fn (stdClass $row): array => ['id' => (string) $row->key, 'name' => (string) $row->name, 'made' => Carbon::parse((string) $row->updated_at)->toIso8601ZuluString()], self::rows($scene));
    }

    /**
     * The scene as it stands, or as another variant has it, under a name.
     *
     * @param  string|null  $of  the variant that it is made from
     *
     * @throws NotPossible when there are too many
     */
    public function keep(Scene $scene, string $name, ?string $of = null): void
    {
        $document = $of === null ? self::held($this->store->flat($scene)->toDocument()) : (string) $this->row($scene, $of)->document;
        DB::transaction(function () use ($scene, $name, $document): void {
            if (count(self::rows($scene)) >= Snapshot::MOST) {
                throw new NotPossible('name', 'A scene has at most '.Snapshot::MOST.' snapshots: throw one away first.');
            }
            $this->put($scene, FlatScene::newId(), $name, $document);
        });
    }

    public function rename(Scene $scene, string $id, string $name): void
    {
        $this->row($scene, $id);
        self::of($scene, $id)->update(['name' => trim($name)]);
    }

    public function throwAway(Scene $scene, string $id): void
    {
        $this->row($scene, $id);
        self::of($scene, $id)->update(['deleted_at' => now()]);
    }

    public function bringBack(Scene $scene, string $id): void
    {
        self::of($scene, $id)->update(['deleted_at' => null]);
    }

    /** The scene as a variant has it, with its strokes known by name. */
    public function flat(Scene $scene, string $id): FlatScene
    {
        $stored = $this->store->flat($scene);
        /** @var array<string, mixed> $fields */
        $fields = json_decode((string) $this->row($scene, $id)->document, true, 64, JSON_THROW_ON_ERROR);
        $flat = FlatScene::fromDocument([...$fields] + array_diff_key($stored->scene, array_flip(Snapshot::HELD)));
        $shelf = new StrokeShelf($scene->id);

        return new FlatScene($flat->scene, $flat->order, array_map(static fn (array $strip): array => self::strip($shelf->named($strip)), $flat->strips));
    }

    /** @return list<array<string, mixed>> as in a scene file */
    public function whole(Scene $scene): array
    {
        $shelf = new StrokeShelf($scene->id);

        return array_map(static fn (stdClass $row): array => ['id' => (string) $row->key, 'name' => (string) $row->name] + self::strip($shelf->take((array) json_decode((string) $row->document, true, 64, JSON_THROW_ON_ERROR))), self::rows($scene));
    }

    /** @param  list<Snapshot>  $snapshots  of a scene file that is taken in */
    public function take(Scene $scene, array $snapshots): void
    {
        $shelf = new StrokeShelf($scene->id);
        foreach ($snapshots as $snapshot) {
            $this->put($scene, $snapshot->id, $snapshot->name, json_encode($shelf->put($snapshot->fields), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
        }
    }

    private function put(Scene $scene, string $id, string $name, string $document): void
    {
        DB::table('snapshots')->insert(['id' => Str::lower((string) Str::ulid()), 'scene_id' => $scene->id, 'key' => $id, 'name' => trim($name), 'document' => $document, 'created_at' => now(), 'updated_at' => now()]);
    }

    /** @param  array<string, mixed>  $document */
    private static function held(array $document): string
    {
        return json_encode(array_intersect_key($document, array_flip(Snapshot::HELD)), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    /**
     * @param  array<mixed>  $fields
     * @return array<string, mixed>
     */
    private static function strip(array $fields): array
    {
        /** @var array<string, mixed> */
        return $fields;
    }

    private function row(Scene $scene, string $id): stdClass
    {
        return self::of($scene, $id)->whereNull('deleted_at')->first() ?? throw new NotPossible('snapshot', 'This snapshot is not there any more.');
    }

    private static function of(Scene $scene, string $id): \Illuminate\Database\Query\Builder
    {
        return DB::table('snapshots')->where('scene_id', $scene->id)->where('key', $id);
    }

    /** @return list<stdClass> */
    private static function rows(Scene $scene): array
    {
        return array_values(DB::table('snapshots')->where('scene_id', $scene->id)->whereNull('deleted_at')->orderBy('id')->get()->all());
    }
}
