<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Codecs\PictureFormat;
use App\Export\Exports;
use App\Models\Export;
use App\Models\Scene;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class ExportController
{
    public function __construct(private readonly Exports $exports)
    {
    }

    public function index(Scene $scene): JsonResponse
    {
        return new JsonResponse(['exports' => $scene->exports()->limit(30)->get()->map($this->shown(...))->all()]);
    }

    public function store(Request $request, Scene $scene): JsonResponse
    {
        $request->validate(['format' => ['required', Rule::in(array_column(PictureFormat::written(), 'value'))], 'bits' => 'sometimes|in:8,16', 'quality' => 'sometimes|integer|between:1,100']);
        $export = $this->exports->order($scene, PictureFormat::from($request->string('format')->value()), $request->integer('bits', 8), $request->integer('quality', 92));

        return new JsonResponse($this->shown($export), 201);
    }

    public function cancel(Scene $scene, string $export): JsonResponse
    {
        return new JsonResponse($this->shown($this->exports->cancel($this->find($scene, $export))));
    }

    public function file(Scene $scene, string $export): BinaryFileResponse
    {
        $found = $this->find($scene, $export);
        $path = $this->exports->path($found);
        abort_unless($found->state === Export::DONE && is_file($path), 404);

        return response()->download($path, $found->name);
    }

    private function find(Scene $scene, string $export): Export
    {
        return $scene->exports()->findOrFail($export);
    }

    /** @return array<string, mixed> */
    private function shown(Export $export): array
    {
        return $export->only(['id', 'format', 'bits', 'state', 'progress', 'name', 'problem', 'bytes', 'clipped']) + ['asked' => $export->created_at?->toIso8601ZuluString()];
    }
}
