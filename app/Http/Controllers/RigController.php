<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Export\Exports;
use App\Export\Ordered;
use App\Http\Takes;
use App\Http\Upload;
use App\Models\Scene;
use App\Rigs\NewFromRig;
use App\Rigs\RigFile;
use App\Rigs\RigShelf;
use App\Scenes\PackedScene;
use App\Scenes\PictureLibrary;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/** The shelf of rigs. */
final readonly class RigController
{
    public function __construct(private RigShelf $shelf)
    {
    }

    /** The rigs that are kept. */
    public function index(): JsonResponse
    {
        return new JsonResponse(['rigs' => $this->shelf->all()]);
    }

    /** Keeps some strips of a scene under a name; without one they are what was copied. */
    #[Takes(['strips' => 'required|array|list|min:1|max:200', 'strips.*' => 'string|max:40', 'plate' => 'sometimes|nullable|string|max:40', 'name' => 'sometimes|nullable|string|max:'.RigShelf::LONGEST_NAME])]
    public function keep(Request $request, Scene $scene): JsonResponse
    {
        /** @var list<string> $strips */
        $strips = array_values($request->array('strips'));
        $text = static fn (string $name): ?string => is_string($request->input($name)) && trim($request->input($name)) !== '' ? trim($request->input($name)) : null;
        $count = $this->shelf->keep($scene, $strips, $text('plate'), $text('name'));

        return new JsonResponse(['strips' => $count, 'rigs' => $this->shelf->all()], 201);
    }

    /** A file of a rig. */
    #[Takes(file: true)]
    public function store(Request $request, PictureLibrary $library): JsonResponse
    {
        RigFile::open(Upload::of($request)->path, fn (RigFile $file) => $file->keep($this->shelf, $library));

        return new JsonResponse(['rigs' => $this->shelf->all()], 201);
    }

    /** Takes a rig out of the shelf. */
    public function destroy(string $rig): JsonResponse
    {
        $this->shelf->takeOut($rig);

        return $this->index();
    }

    /** The scene that a rig is from, as a small JPEG. */
    public function picture(string $rig): Response
    {
        $jpeg = $this->shelf->picture($rig);

        return $jpeg === null ? new Response(status: 404) : new Response($jpeg, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400']);
    }

    /** JSON, or where it shows pictures a ZIP with them. */
    public function file(string $rig, PictureLibrary $library): AnyResponse
    {
        $kept = $this->shelf->find($rig);
        $name = Str::slug($kept->name) ?: 'rig';
        $pictures = $this->shelf->pictures($rig);
        if ($pictures === []) {
            return new Response($kept->toJson(), 200, ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$name}.rig.json\""]);
        }
        $folder = config()->string('aumbrel.temporary');
        if (! is_dir($folder)) {
            @mkdir($folder, 0o700, true);
        }
        $file = "{$folder}/".bin2hex(random_bytes(8)).'.zip';
        PackedScene::pack(RigFile::DOCUMENT, $kept->toJson(), array_map(static fn ($picture): string => $library->path($picture->id).'/original', $pictures), $file);

        return response()->download($file, "{$name}.rig.zip", ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    /** One of many pictures: it becomes a scene with the rig used on it, and is written out by the queue. */
    #[Takes(['batch' => 'required|string|size:26|regex:/^[0-9a-z]+$/'], of: Ordered::class, file: true)]
    public function over(Request $request, string $rig, NewFromRig $new, Exports $exports): JsonResponse
    {
        $file = Upload::of($request);
        $scene = $new->of($rig, $file);
        $export = $exports->order($scene, Ordered::of($request->all()), (string) $request->string('batch'), pathinfo($file->name, PATHINFO_FILENAME));

        return new JsonResponse(['scene' => $scene->id, 'export' => $export->id], 201);
    }
}
