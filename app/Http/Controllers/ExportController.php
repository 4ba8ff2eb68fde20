<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Export\Exports;
use App\Export\Ordered;
use App\Http\Takes;
use App\Models\Export;
use App\Models\Scene;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class ExportController
{
    private const LATEST = 200;

    public function __construct(private readonly Exports $exports)
    {
    }

    /** The latest exports of a scene. */
    public function index(Scene $scene): JsonResponse
    {
        return new JsonResponse(['exports' => $scene->exports()->limit(30)->get()->map($this->shown(...))->all()]);
    }

    /** Orders an export; the queue writes it. */
    #[Takes(of: Ordered::class)]
    public function store(Request $request, Scene $scene): JsonResponse
    {
        $export = $this->exports->order($scene, Ordered::of($request->all()));

        return new JsonResponse($this->shown($export), 201);
    }

    /** Those of every scene that were asked for lately, the latest first. */
    #[Takes(['batch' => 'sometimes|string|size:26'])]
    public function latest(Request $request): JsonResponse
    {
        $asked = Export::query()->orderByDesc('id')->limit(self::LATEST);
        if ($request->has('batch')) {
            $asked->where('batch', $request->string('batch')->value());
        }

        /** @var list<Export> $exports */
        $exports = $asked->get()->all();

        return new JsonResponse(['exports' => array_map(fn (Export $export): array => ['scene' => $export->scene_id, ...$this->shown($export)], $exports)]);
    }

    /** Cancels one that is under way; one that has ended goes, with its file. */
    public function cancel(Scene $scene, string $export): JsonResponse
    {
        $found = $this->find($scene, $export);
        if (in_array($found->state, [Export::WAITING, Export::RUNNING], true)) {
            return new JsonResponse($this->shown($this->exports->cancel($found)));
        }
        $this->exports->throwAway($found);

        return new JsonResponse(['gone' => $export]);
    }

    /** The file of a finished export. */
    public function file(Request $request, Scene $scene, string $export): BinaryFileResponse
    {
        $found = $this->find($scene, $export);
        $path = $this->exports->path($found);
        abort_unless($found->state === Export::DONE && is_file($path), 404);

        // looked at in the browser, or taken
        return $request->boolean('open') ? response()->file($path, ['Content-Disposition' => 'inline; filename="'.$found->name.'"']) : response()->download($path, $found->name);
    }

    private function find(Scene $scene, string $export): Export
    {
        return $scene->exports()->findOrFail($export);
    }

    /** @return array<string, mixed> */
    private function shown(Export $export): array
    {
        return $export->only(['id', 'format', 'bits', 'state', 'progress', 'name', 'problem', 'bytes', 'clipped', 'batch']) + ['writes' => Exports::ordered($export)->writes->value, 'isThere' => $export->state === Export::DONE && is_file($this->exports->path($export))] + ['asked' => $export->created_at?->toIso8601ZuluString()];
    }
}
