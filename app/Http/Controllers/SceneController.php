<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Codecs\OraReader;
use App\Http\Takes;
use App\Http\Upload;
use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\LayeredImport;
use App\Scenes\NewScene;
use App\Scenes\PackedScene;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneImport;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Storage\DiskRoom;
use App\Storage\Storage;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class SceneController
{
    public function __construct(private readonly SceneStore $store, private readonly SceneState $state)
    {
    }

    /** The scenes, and those that were deleted lately. */
    public function index(): JsonResponse
    {
        /** @var list<Scene> $scenes */
        $scenes = Scene::query()->withCount('strips')->orderByDesc('updated_at')->orderByDesc('id')->get()->all();
        /** @var list<Scene> $deleted */
        $deleted = Scene::onlyTrashed()->withCount('strips')->orderByDesc('deleted_at')->get()->all();

        return new JsonResponse(['scenes' => array_map($this->state->card(...), $scenes), 'deleted' => array_map($this->state->card(...), $deleted)]);
    }

    /** What lies on the disk, in bytes. */
    public function storage(Storage $storage): JsonResponse
    {
        return new JsonResponse(['used' => $storage->used(), ...DiskRoom::now()->told(), 'daysToRestore' => Storage::DAYS_TO_RESTORE]);
    }

    /** A picture becomes a scene, and so does a layered file; a scene file with its pictures, or a packed scene, is taken in as it is. */
    #[Takes(file: true)]
    public function store(Request $request, NewScene $new, SceneImport $import, LayeredImport $layered, PictureLibrary $library): JsonResponse
    {
        $file = Upload::of($request);
        [$scene, $notice] = match (true) {
            OraReader::isOne($file->path) => $layered->of($file),
            PackedScene::isOne($file->path) => [$import->fromFile($file->path), null],
            SceneImport::isSceneFile($file->path) => [$import->fromParts($file->path, Upload::beside($request)), null],
            default => [$new->of($file), $library->notice($file->path, $file->name)],
        };

        return new JsonResponse([...$this->state->of($scene), 'notice' => $notice], 201);
    }

    /** A scene with all that the interface is told of it. */
    public function show(Scene $scene): JsonResponse
    {
        return new JsonResponse($this->state->of($scene));
    }

    /** What another window needs to know that something has changed. */
    public function revision(Scene $scene): JsonResponse
    {
        return new JsonResponse(['revision' => $scene->revision]);
    }

    /** A scene of its own, as this one is; what was done to this one is not done again. */
    public function duplicate(Scene $scene): JsonResponse
    {
        $flat = FlatScene::fromDocument($this->store->whole($scene)->toArray())->with(['scene' => ['title' => mb_substr($scene->title, 0, 114).', copy']]);
        $copy = $this->store->create(Document::read($flat->toDocument(), Registry::kinds()), $this->store->pictures($scene));
        $copy->update(['folder' => $scene->folder]);

        return new JsonResponse($this->state->card($copy), 201);
    }

    /** Lays scenes into a folder of the wall, or out of any: their order by time stays as it was. */
    #[Takes(['scenes' => 'required|array|list|min:1|max:500', 'scenes.*' => 'string|size:26', 'folder' => 'present|nullable|string|min:1|max:80'])]
    public function lay(Request $request): JsonResponse
    {
        $asked = $request->all();
        /** @var list<string> $ids */
        $ids = $asked['scenes'];
        DB::table('scenes')->whereIn('id', $ids)->update(['folder' => is_string($asked['folder']) ? $asked['folder'] : null]);

        return new JsonResponse(['laid' => count($ids)]);
    }

    /** Deletes a scene; it can be brought back for thirty days. */
    public function destroy(Scene $scene): Response
    {
        $scene->delete();

        return new Response(status: 204);
    }

    /** Brings a deleted scene back. */
    public function restore(string $scene): JsonResponse
    {
        $gone = Scene::withTrashed()->findOrFail($scene);
        $gone->restore();

        return new JsonResponse($this->state->card($gone));
    }

    /** The scene file. */
    public function file(Scene $scene): Response
    {
        $name = Str::slug($scene->title) ?: 'scene';

        return new Response($this->store->whole($scene)->toJson(), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$name}.json\"",
        ]);
    }

    /** The scene file with its pictures, as one ZIP. */
    public function packed(Scene $scene, PictureLibrary $library): BinaryFileResponse
    {
        $folder = config()->string('aumbrel.temporary');
        $file = "{$folder}/".bin2hex(random_bytes(8)).'.zip';
        if (! is_dir($folder)) {
            @mkdir($folder, 0o700, true);
        }
        PackedScene::write($this->store->whole($scene), array_map(static fn (string $id): string => $library->path($id).'/original', $this->store->pictureIds($scene)), $file);

        return response()->download($file, (Str::slug($scene->title) ?: 'scene').'.zip', ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }
}
