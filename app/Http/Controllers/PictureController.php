<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Codecs\PictureEncoder;
use App\Http\Requests\LookAt;
use App\Models\Scene;
use App\Render\PaintedReply;
use App\Render\Pool\Dropped;
use App\Render\Pool\Priority;
use App\Render\RenderRequest;
use App\Render\RenderService;
use App\Scenes\FlatScene;
use App\Scenes\SceneState;
use App\Scenes\SceneStore;
use App\Scenes\StripEdits;
use Aumbrel\Core\Scene\Scene as Document;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Pictures for the interface: pixels as they are, behind the length and the text of a JSON head. */
final class PictureController
{
    private const THUMBNAIL = 480;

    private const CONTRIBUTION = 96;

    public function __construct(private readonly SceneStore $store, private readonly RenderService $renders)
    {
    }

    public function picture(LookAt $request, Scene $scene): Response
    {
        $flat = $this->store->flat($scene);
        foreach ($request->changes() as $strip => $change) {
            $flat = StripEdits::change($flat, $strip, $change);
        }
        $painted = $this->renders->render(
            $this->ask($scene, $request->look()->at($flat), RenderRequest::PICTURE, $request->window(), $request->float('scale'), [], $request->below()),
            $request->priority(), $request->string('view')->value(), $request->integer('number'),
        );
        if ($painted instanceof Dropped) {
            return new Response(status: 204);
        }

        return $this->framed(['columns' => $painted->columns, 'rows' => $painted->rows, 'clipped' => $painted->clipped, ...$this->changed($scene, $flat, array_keys($request->changes()))], $painted);
    }

    /**
     * What belongs to changes that are not written down: the lines of their strips, the compass and the readings.
     *
     * @param  list<string>  $strips  that are changed
     * @return array<string, mixed>
     */
    private function changed(Scene $scene, FlatScene $flat, array $strips): array
    {
        if ($strips === []) {
            return ['outlines' => (object) []];
        }
        $document = Document::read($flat->toDocument());
        $outlines = [];
        foreach ($strips as $id) {
            $outlines[$id] = (object) ($document->find($id)?->kind->outlines() ?? []);
        }

        return ['outlines' => (object) $outlines, ...SceneState::noticed($document, $this->store->sizes($scene))];
    }

    public function contributions(Scene $scene): Response
    {
        $flat = $this->store->flat($scene);
        $strips = array_keys($flat->strips);
        if ($strips === []) {
            return new Response(status: 204);
        }
        $scale = self::CONTRIBUTION / max($scene->width, $scene->height);
        $painted = $this->renders->render(
            $this->ask($scene, $flat, RenderRequest::CONTRIBUTIONS, [0.0, 0.0, (float) $scene->width, (float) $scene->height], $scale, $strips, null),
            Priority::Contribution, "contributions {$scene->id}", $scene->revision,
        );

        return $painted instanceof Dropped ? new Response(status: 204)
            : $this->framed(['columns' => $painted->columns, 'rows' => $painted->rows, 'strips' => $painted->strips], $painted);
    }

    public function thumbnail(Request $request, Scene $scene, PictureEncoder $encoder): Response
    {
        $scale = min(1, self::THUMBNAIL / max($scene->width, $scene->height));
        $painted = $this->renders->render(
            $this->ask($scene, $this->store->flat($scene), RenderRequest::PICTURE, [0.0, 0.0, (float) $scene->width, (float) $scene->height], $scale, [], null),
            Priority::Settled,
        );
        if ($painted instanceof Dropped) {
            return new Response(status: 503);
        }

        return new Response($encoder->jpegOf($painted->bytes, $painted->columns, $painted->rows, 88), 200, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => $request->has('revision') ? 'private, max-age=31536000, immutable' : 'no-store',
        ]);
    }

    /**
     * @param  array{float, float, float, float}  $window
     * @param  list<string>  $strips
     */
    private function ask(Scene $scene, FlatScene $flat, string $kind, array $window, float $scale, array $strips, ?string $below): RenderRequest
    {
        return new RenderRequest($kind, $flat->toDocument(), $this->store->pictureIds($scene), $window, $scale, $strips, $below);
    }

    /** @param  array<string, mixed>  $head */
    private function framed(array $head, PaintedReply $painted): Response
    {
        $text = json_encode($head, JSON_THROW_ON_ERROR);
        // the pixels begin on a whole word, so that the browser can use them where they are
        $text = str_pad($text, (int) ceil(strlen($text) / 4) * 4);

        return new Response(pack('V', strlen($text)).$text.$painted->bytes, 200, ['Content-Type' => 'application/octet-stream', 'Cache-Control' => 'no-store']);
    }
}
