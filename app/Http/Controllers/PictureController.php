<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Gestures\ChangeStrip;
use App\Http\PictureAnswer;
use App\Http\Requests\LookAt;
use App\Models\Scene;
use App\Render\Look;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Render\RenderRequest;
use App\Render\RenderRequests;
use App\Render\RenderService;
use App\Render\SmallPictures;
use App\Scenes\FlatScene;
use App\Scenes\KeptPictures;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Scenes\Snapshots;
use App\Scenes\UsedMasks;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Stage\SceneSource;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/** Pictures for the interface. */
final class PictureController
{
    private const CONTRIBUTION = 96;

    private const MASK = 56;

    public function __construct(private readonly SceneStore $store, private readonly RenderRequests $requests, private readonly RenderService $renders)
    {
    }

    /** A window of the scene, in frames: a JSON head each, and the pixels of its rows. */
    public function picture(LookAt $request, Scene $scene, Snapshots $snapshots): AnyResponse
    {
        $stored = $request->snapshot() === null ? $this->store->flat($scene) : $snapshots->flat($scene, $request->snapshot());
        $flat = $this->changing($request, $scene, $stored);
        [$kind, $named] = match (true) {
            $request->mask() !== null => [RenderRequest::MASK, [$request->mask(), ...($request->boolean('over') ? ['over'] : [])]],
            $request->alone() !== null => [RenderRequest::ALONE, [$request->alone()]],
            default => [RenderRequest::PICTURE, []],
        };
        $look = $request->mask() === null || $request->boolean('over') ? $request->look()->at($flat) : $flat;
        $ask = $this->requests->of($scene, $kind, $request->window(), $request->float('scale'), $named, self::lowest($flat, $request->below()), $look, $request->shown());
        $pieces = $this->renders->pieces($ask, new Ticket($request->priority(), $request->view($scene), $request->integer('number')));

        // the processes render while this is worked out
        return (new PictureAnswer($pieces, $ask->window()->rows, $this->changed($scene, $flat, $stored, array_map(strval(...), array_keys($request->changes())))))->respond();
    }

    /** Small pictures of what is looked at, with one strip in each mode. */
    public function modes(LookAt $request, Scene $scene): AnyResponse
    {
        $flat = $this->changing($request, $scene, $this->store->flat($scene));
        $ask = $this->requests->of($scene, RenderRequest::MODES, $request->window(), $request->float('scale'), [(string) $request->alone()], null, $flat);

        return (new PictureAnswer($this->renders->pieces($ask, new Ticket(Priority::Settled, 'modes '.$request->view($scene), $request->integer('number'))), $ask->window()->rows, []))->respond();
    }

    /** The scene with what is changed and not written down yet. */
    private function changing(LookAt $request, Scene $scene, FlatScene $stored): FlatScene
    {
        $flat = $stored;
        foreach ($request->changes() as $strip => $change) {
            $flat = ChangeStrip::changed($flat, (string) $strip, $change, fn (): Pictures => $this->store->known($scene, null, $stored));
        }

        return $flat;
    }

    /** The lowest strip that changes with a thing: the picture below it can be kept. */
    private static function lowest(FlatScene $flat, ?string $thing): ?string
    {
        if ($thing === null || (! isset($flat->strips[$thing]) && ! str_starts_with($thing, SceneSource::NAMED))) {
            return $thing;
        }
        $changed = isset($flat->strips[$thing]) ? UsedMasks::users($flat, $thing)
            : array_keys(array_filter($flat->strips, static fn (array $strip): bool => SceneSource::NAMED.($strip['source'] ?? '') === $thing));
        foreach ($flat->order as [$id]) {
            if ((string) $id === $thing || in_array($id, $changed)) {
                return (string) $id;
            }
        }

        return null;
    }

    /** The masks of a strip in small, as they are written. */
    public function masks(Request $request, Scene $scene): AnyResponse
    {
        $flat = $this->store->flat($scene);
        /** @var list<string> $masks */
        $masks = array_column(FlatScene::fields($flat->strips[(string) $request->string('strip')]['masks'] ?? []), 'id');
        if ($masks === []) {
            return new Response(status: 204);
        }
        $ask = $this->requests->of($scene, RenderRequest::MASKS, null, self::MASK / max($scene->width, $scene->height), $masks, flat: $flat);

        return (new PictureAnswer($this->renders->pieces($ask, new Ticket(Priority::Contribution, "masks {$scene->id} ".Str::uuid(), 0)), $ask->window()->rows, []))->respond();
    }

    /**
     * What belongs to changes that are not written down: the lines of their strips, the compass and the readings.
     *
     * @param  list<string>  $strips  that are changed
     * @return array<string, mixed>
     */
    private function changed(Scene $scene, FlatScene $flat, FlatScene $stored, array $strips): array
    {
        if ($strips === []) {
            return ['outlines' => (object) []];
        }
        $document = Document::read($flat->toDocument(), Registry::kinds());
        $known = $this->store->known($scene, null, $stored, waits: false);
        $hanging = new Hanging($document, $known);
        // the stage and the sources move what lies on them
        $isEvery = array_filter($strips, FlatScene::isPart(...)) !== [];
        $shown = [];
        foreach ($document->everyStrip() as $strip) {
            if ($isEvery || in_array($strip->id, $strips, true)) {
                $shown[$strip->id] = SceneState::shown($strip, $hanging);
            }
        }

        return [
            'outlines' => (object) array_map(static fn (array $lines): object => $lines['outlines'], $shown),
            'inForce' => (object) array_map(static fn (array $lines): object => $lines['inForce'], $shown),
            'stage' => in_array(FlatScene::STAGE, $strips, true) ? $document->stage->lines() : null,
            ...SceneState::noticed($document, $known),
        ];
    }

    /** What each strip adds, in small. */
    public function contributions(Scene $scene): AnyResponse
    {
        $flat = $this->store->flat($scene);
        $strips = array_map(strval(...), array_keys($flat->strips));
        if ($strips === []) {
            return new Response(status: 204);
        }
        $scale = self::CONTRIBUTION / max($scene->width, $scene->height);
        $ask = $this->requests->of($scene, RenderRequest::CONTRIBUTIONS, null, $scale, $strips, flat: $flat);

        return (new PictureAnswer($this->renders->pieces($ask, new Ticket(Priority::Contribution, "contributions {$scene->id}", $scene->revision)), $ask->window()->rows, []))->respond();
    }

    /** The scene in small; with `kept` as it last looked, if that is known, without rendering anything. */
    public function thumbnail(Request $request, Scene $scene, SmallPictures $small, KeptPictures $kept, Snapshots $snapshots): Response
    {
        $snapshot = $request->query('snapshot');
        $bytes = match (true) {
            is_string($snapshot) => $small->rendered($scene, $snapshots->flat($scene, $snapshot)),
            $request->boolean('before') => $small->rendered($scene, (new Look(true, []))->at($this->store->flat($scene))),
            $request->boolean('kept') => $kept->last($scene),
            default => $small->of($scene),
        };
        if ($bytes === null) {
            return new Response(status: $request->boolean('kept') ? 404 : 503);
        }

        return new Response($bytes, 200, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => $request->has('revision') || is_string($snapshot) ? 'private, max-age=31536000, immutable' : 'no-store',
        ]);
    }
}
