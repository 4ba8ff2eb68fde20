<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Faults\NotPossible;
use App\Models\Picture;
use App\Models\Scene;
use App\Render\SmallPictures;
use App\Scenes\NamedShelf;
use App\Scenes\SceneStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Rig\Rig;
use Aumbrel\Core\Rig\RigMaking;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Rigs that are kept by name for every scene, with the pictures that they show; and the strips that were copied last. */
final class RigShelf extends NamedShelf
{
    /** Under this id lies what was copied. */
    public const COPIED = 'copied';

    public function __construct(private readonly SceneStore $store, private readonly SmallPictures $seen)
    {
    }

    /** @return list<array{id: string, name: string, strips: int, subject: string|null, pictures: int}> the latest first */
    public function all(): array
    {
        $pictures = DB::table('rig_pictures')->selectRaw('rig_id, count(*) as many')->groupBy('rig_id')->pluck('many', 'rig_id')->all();
        $told = function (stdClass $row) use ($pictures): array {
            $rig = $this->read($row);

            return ['id' => (string) $row->id, 'name' => (string) $row->name, 'strips' => $rig->count(), 'subject' => $rig->subject()?->name, 'pictures' => (int) ($pictures[$row->id] ?? 0)];
        };

        return array_values(array_map($told, DB::table('rigs')->whereNotNull('name')->orderByDesc('created_at')->orderByDesc('id')->get()->all()));
    }

    /**
     * Some strips of a scene, kept under a name; without one as what was copied last.
     *
     * @param  list<string>  $strips
     * @param  string|null  $plate  that they are about
     * @return int how many strips it has
     *
     * @throws NotPossible when the name is taken, or the shelf is full
     */
    public function keep(Scene $scene, array $strips, ?string $plate, ?string $name): int
    {
        $document = $this->store->whole($scene);
        $rig = (new RigMaking($document, $strips, $plate, $this->store->known($scene), Registry::kinds()))->rig($name ?? 'Copied strips');
        $known = $this->store->pictures($scene);
        $pictures = array_intersect_key($known, array_flip($rig->pictures()));
        if ($name === null) {
            DB::transaction(function () use ($rig, $pictures): void {
                DB::table('rigs')->where('id', self::COPIED)->delete();
                DB::table('rigs')->insert(['id' => self::COPIED, 'name' => null, 'document' => $rig->toJson()]);
                $this->putPictures(self::COPIED, $pictures);
            });
        } else {
            $this->take($rig, $pictures, $this->seen->of($scene));
        }

        return $rig->count();
    }

    /**
     * @param  array<array-key, Picture>  $pictures  by name
     *
     * @throws NotPossible when the name is taken, or the shelf is full
     */
    public function take(Rig $rig, array $pictures, ?string $jpeg = null): void
    {
        DB::transaction(function () use ($rig, $pictures, $jpeg): void {
            $this->put($rig->name, ['document' => $rig->toJson(), 'picture' => $jpeg === null ? null : base64_encode($jpeg)]);
            $id = DB::table('rigs')->where('name', trim($rig->name))->value('id');
            $this->putPictures(is_string($id) ? $id : '', $pictures);
        });
    }

    /** @throws NotPossible when there is none */
    public function find(string $id): Rig
    {
        return $this->read($this->row($id));
    }

    /** @return array<array-key, Picture> by name */
    public function pictures(string $id): array
    {
        $names = DB::table('rig_pictures')->where('rig_id', $id)->pluck('picture_id', 'name')->all();
        $known = [];
        foreach ($names as $name => $picture) {
            $found = Picture::query()->find($picture);
            if ($found instanceof Picture) {
                $known[$name] = $found;
            }
        }

        return $known;
    }

    /** The scene that it is from, as a small JPEG. */
    public function picture(string $id): ?string
    {
        $picture = DB::table('rigs')->where('id', $id)->value('picture');

        return is_string($picture) ? (string) base64_decode($picture, true) : null;
    }

    protected function table(): string
    {
        return 'rigs';
    }

    protected function ours(): array
    {
        return [];
    }

    /** @param  array<array-key, Picture>  $pictures */
    private function putPictures(string $id, array $pictures): void
    {
        foreach ($pictures as $name => $picture) {
            DB::table('rig_pictures')->insert(['rig_id' => $id, 'name' => (string) $name, 'picture_id' => $picture->id]);
        }
    }

    private function row(string $id): stdClass
    {
        return DB::table('rigs')->where('id', $id)->first() ?? throw new NotPossible('rig', $id === self::COPIED ? 'No strips were copied yet.' : 'This rig is not on the shelf any more.');
    }

    private function read(stdClass $row): Rig
    {
        $rig = Rig::fromJson((string) $row->document, Registry::kinds());

        return $row->name === null ? $rig : $rig->called((string) $row->name);
    }
}
