<?php

declare(strict_types=1);

namespace App\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\MeasuredGrain;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Plate\PlateStudy;
use Aumbrel\Core\Render\BesideStudy;
use Aumbrel\Core\Render\EdgesAhead;
use Aumbrel\Core\Render\Memory;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Render\SceneStudy;
use Aumbrel\Core\Render\Shown;
use Aumbrel\Core\Render\Watch;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Scene\ToneLimits;
use Closure;
use Generator;
use Throwable;

/** Renders requests in this process; what it has read and computed stays for the next one. */
final class Painter
{
    private const DOCUMENTS = 4;

    private readonly StoredPictures $pictures;

    private readonly HeldStrokes $strokes;

    /** @var array<string, Scene> by the hash of their text, the latest last */
    private array $documents = [];

    private readonly Renderer $renderer;

    private readonly SceneStudy $study;

    /** What has not been used for so long is given back. */
    public const UNUSED_SECONDS = 600.0;

    /** @var Generator<int, string>|null what could be worked out of the scene that a hand has last rested in */
    private ?Generator $ahead = null;

    /** @param  int  $memory  bytes that this process may use before it forgets what it keeps */
    public function __construct(string $kernels, string $pictures, string $shapes, int $memory = Memory::BYTES, ?Watch $watch = null)
    {
        $this->pictures = new StoredPictures($pictures);
        $this->strokes = new HeldStrokes;
        $this->renderer = new Renderer(new KernelStore($kernels), $this->pictures, new ShapeStore($shapes), new Memory($memory), $watch);
        $this->study = new SceneStudy($this->renderer, $this->pictures);
    }

    /** @throws StrokesMissing when the scene names strokes that this process has not been told */
    public function paint(RenderRequest $request): PaintedReply
    {
        $this->strokes->hold($request->strokes);
        $this->pictures->showing($request->pictures);
        $scene = $this->document($request->scene);
        $window = $request->window();
        $study = Study::tryFrom($request->kind);
        if ($study !== null) {
            return new PaintedReply(0, 0, 0, $request->strips, json_encode($study->of($this->plate($scene, $request->strips[0] ?? ''), array_map(floatval(...), array_slice($request->strips, 1))), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::CONTRIBUTIONS) {
            $pictures = $this->renderer->contributions($scene, $window, $request->strips);
            $brightened = array_map(static fn (Picture $picture): array => Brightened::of($picture->bytes), array_values($pictures));

            return new PaintedReply($window->columns, $window->rows, 0, array_map(strval(...), array_keys($pictures)), implode('', array_column($brightened, 0)), factors: array_column($brightened, 1));
        }
        if ($request->kind === RenderRequest::FACTS) {
            $this->ahead = (new EdgesAhead($this->renderer))->of($scene);

            return new PaintedReply(0, 0, 0, [], json_encode($this->study->of($scene)->toArray(), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::PLATES) {
            return new PaintedReply(0, 0, 0, $this->renderer->platesAt($scene, new Point($window->x + $window->width / 2, $window->y + $window->height / 2)), '');
        }
        if ($request->kind === RenderRequest::MODES) {
            return $this->inEveryMode($scene, $window, $request->strips[0] ?? '');
        }
        if ($request->kind === RenderRequest::TONES) {
            return new PaintedReply(0, 0, 0, [], json_encode($this->renderer->tones($scene, $window, $request->strips[0] ?? '', ($request->strips[1] ?? '') === ToneLimits::ITSELF), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::HUES) {
            $hill = $this->renderer->hues($scene, $window, $request->strips[0] ?? '');
            $about = isset($request->strips[1]) ? (float) $request->strips[1] : null;

            return new PaintedReply(0, 0, 0, [], json_encode(['counts' => $hill->counts, 'mean' => $hill->mean(), 'stretch' => $about === null ? null : $hill->around($about)], JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::COLOURS) {
            return new PaintedReply(0, 0, 0, [], json_encode($this->renderer->cloud($scene, $window, $request->strips[0] ?? ''), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::SCOPES) {
            return new PaintedReply(0, 0, 0, [], json_encode($this->renderer->scopes($scene, $window, $request->strips[0] ?? null), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::LIKENESS) {
            return new PaintedReply(0, 0, 0, [], json_encode($this->renderer->likeness($scene, $request->strips[0] ?? ''), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::OWN_LIGHT) {
            $light = $this->renderer->ownLight($scene, $request->strips[0] ?? '');

            return new PaintedReply(0, 0, 0, [], json_encode([...(is_string($light) ? ['why' => $light] : ['numbers' => $light->toNumbers()]), 'upward' => $this->renderer->normalsUpward($scene, $request->strips[0] ?? '')], JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::VALUES) {
            return new PaintedReply(0, 0, 0, [], json_encode($this->renderer->patch($scene, $window), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::GRAIN) {
            $grain = (new BesideStudy($this->renderer))->grain($scene, $request->strips[0] ?? '');

            return new PaintedReply(0, 0, 0, [], json_encode(array_map(static fn (?MeasuredGrain $found): ?array => $found === null ? null : ['sigma' => $found->sigma, 'size' => $found->size, 'tone' => $found->tone], $grain), JSON_THROW_ON_ERROR));
        }
        if ($request->kind === RenderRequest::MASK || $request->kind === RenderRequest::MASKS) {
            return $this->masks($request, $scene, $window);
        }
        $as = Shown::from($request->as);
        if ($request->kind === RenderRequest::ALONE) {
            $id = $request->strips[0] ?? '';
            if ($as === Shown::Passing) {
                return new PaintedReply($window->columns, $window->rows, 0, [], $this->renderer->passing($scene, $window, $id)->bytes);
            }
            [$bytes, $factor] = Brightened::of($this->renderer->contributions($scene, $window, [$id], as: $as)[$id]->bytes);

            return new PaintedReply($window->columns, $window->rows, 0, [], $bytes, factors: [$factor]);
        }
        $picture = $this->renderer->picture($scene, $window, below: $request->below, as: $as);

        return new PaintedReply($picture->columns, $picture->rows, $picture->clipped, [], $picture->bytes);
    }

    private function masks(RenderRequest $request, Scene $scene, Window $window): PaintedReply
    {
        if ($request->kind === RenderRequest::MASKS) {
            $bytes = array_map(fn (string $mask): string => $this->renderer->mask($scene, $window, $mask)->bytes, $request->strips);

            return new PaintedReply($window->columns, $window->rows, 0, $request->strips, implode('', $bytes));
        }
        $picture = $this->renderer->mask($scene, $window, $request->strips[0] ?? '', isset($request->strips[1]), $request->below);

        return new PaintedReply($picture->columns, $picture->rows, $picture->clipped, [], $picture->bytes);
    }

    /** The picture with a strip in each mode that goes with its values; what lies below it is rendered once. */
    private function inEveryMode(Scene $scene, Window $window, string $id): PaintedReply
    {
        $bytes = [];
        foreach (array_merge(...array_values(BlendMode::byWhatTheyDo())) as $mode) {
            try {
                $scene->find($id)?->kind->check($mode);
            } catch (SceneError) {
                continue;
            }
            $other = $scene->changing($id, static fn (Strip $strip): Strip => $strip->inMode($mode));
            $bytes[$mode->value] = $this->renderer->picture($other, $window, below: $id)->bytes;
        }

        return new PaintedReply($window->columns, $window->rows, 0, array_keys($bytes), implode('', $bytes));
    }

    /** The bands of a picture are of one scene, which is read once. */
    private function document(SceneText $text): Scene
    {
        $key = $text->key();
        if (! isset($this->documents[$key])) {
            $this->documents = [...array_slice($this->documents, 1 - self::DOCUMENTS, null, true), $key => $text->document($this->strokes)];
        }

        return $this->documents[$key];
    }

    /**
     * Works out what the next export needs, while nobody asks for anything: a piece at a time.
     *
     * @param  Closure(): bool  $isIdle  asked before each piece
     */
    public function workAhead(Closure $isIdle): void
    {
        try {
            while ($this->ahead?->valid() === true && $isIdle()) {
                $this->ahead->next();
            }
        } catch (Throwable) {
            // whoever asks for it is told
            $this->ahead = null;
        }
        $this->tidy();
    }

    /** Forgets what there is no room for; called when a picture has been handed on. */
    public function tidy(): void
    {
        $this->renderer->giveBack(self::UNUSED_SECONDS);
        $this->renderer->tidy();
    }

    private function plate(Scene $scene, string $id): PlateStudy
    {
        $strip = $scene->find($id);
        if ($strip === null || ! $strip->kind instanceof Plate) {
            throw new SceneError('strip', 'only a plate can be read');
        }

        return new PlateStudy($this->renderer->planes, $this->pictures->picture($strip->kind->picture()), $strip->cutOut(), $strip->kind->edge);
    }
}
