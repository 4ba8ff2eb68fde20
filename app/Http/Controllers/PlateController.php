<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Takes;
use App\Http\Upload;
use App\Models\Scene;
use App\Render\PaintedReply;
use App\Render\PlateStudies;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Render\RenderRequest;
use App\Render\RenderRequests;
use App\Render\RenderService;
use App\Render\Study;
use App\Scenes\BringPicture;
use App\Scenes\NewPlate;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Plates as pictures: brought in as a file, and looked at as a whole. */
final class PlateController
{
    public function __construct(private readonly SceneState $state, private readonly PlateStudies $studies)
    {
    }

    /** A picture becomes a plate on top, or a pass of the plate beneath. */
    #[Takes(['x' => 'sometimes|numeric|between:-1000000,1000000', 'y' => 'sometimes|numeric|between:-1000000,1000000'], file: true)]
    public function add(Request $request, Scene $scene, NewPlate $new, PictureLibrary $library): JsonResponse
    {
        /** @var array{x?: numeric-string, y?: numeric-string} $place */
        $place = $request->all();
        $file = Upload::of($request);
        [$changed, $said] = $new->of($scene, $file, (float) ($place['x'] ?? $scene->width / 2), (float) ($place['y'] ?? $scene->height / 2));

        return new JsonResponse([...$this->state->of($changed), 'notice' => $said ?? $library->notice($file->path, $file->name)], 201);
    }

    /** A picture that becomes no plate: a slide, a leak, a texture. */
    #[Takes(file: true)]
    public function bring(Request $request, Scene $scene, BringPicture $bring): JsonResponse
    {
        [$name] = $bring->to($scene, Upload::of($request));

        return new JsonResponse(['name' => $name], 201);
    }

    /** The plates that are seen at a place, the foremost first. */
    #[Takes(['x' => 'required|numeric|between:-1000000,1000000', 'y' => 'required|numeric|between:-1000000,1000000'])]
    public function at(Request $request, Scene $scene, RenderRequests $requests, RenderService $renders): JsonResponse
    {
        /** @var array{x: numeric-string, y: numeric-string} $place */
        $place = $request->all();
        [$x, $y] = [(float) $place['x'], (float) $place['y']];
        $isInside = $x >= 0 && $y >= 0 && $x < $scene->width && $y < $scene->height;
        $found = $isInside ? $renders->render($requests->of($scene, RenderRequest::PLATES, [floor($x), floor($y), 1.0, 1.0], 1.0), new Ticket(Priority::Settled, 'plates at '.Str::uuid(), 0)) : null;

        return new JsonResponse(['plates' => $found instanceof PaintedReply ? $found->strips : []]);
    }

    /** The outline of a plate as it is cut out: rings of points, in pixels of its picture. */
    public function outline(Scene $scene, string $strip): JsonResponse
    {
        return new JsonResponse(['rings' => $this->studies->of($scene, $strip, Study::Outline)]);
    }

    /** The line along the edges of a plate's picture between two places of it. */
    #[Takes(['from' => 'required|array|list|size:2', 'from.*' => 'numeric|between:-1000000,1000000', 'to' => 'required|array|list|size:2', 'to.*' => 'numeric|between:-1000000,1000000'])]
    public function edge(Request $request, Scene $scene, string $strip): JsonResponse
    {
        /** @var array{from: array{numeric-string, numeric-string}, to: array{numeric-string, numeric-string}} $asked */
        $asked = $request->all();

        return new JsonResponse(['path' => $this->studies->of($scene, $strip, Study::Edge, array_map(floatval(...), [...$asked['from'], ...$asked['to']]))]);
    }

    /** How many pieces shrinking the cut-out takes away. */
    public function pieces(Scene $scene, string $strip): JsonResponse
    {
        return new JsonResponse(['vanished' => $this->studies->of($scene, $strip, Study::Vanished)]);
    }
}
