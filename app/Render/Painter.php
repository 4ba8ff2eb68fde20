<?php

declare(strict_types=1);

namespace App\Render;

use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Render\Renderer;

/** Renders requests in this process; what it has read and computed stays for the next one. */
final class Painter
{
    private readonly StoredPictures $pictures;

    private readonly Renderer $renderer;

    public function __construct(string $kernels, string $pictures)
    {
        $this->pictures = new StoredPictures($pictures);
        $this->renderer = new Renderer(new KernelStore($kernels), $this->pictures);
    }

    public function paint(RenderRequest $request): PaintedReply
    {
        $this->pictures->showing($request->pictures);
        $scene = $request->document();
        $window = $request->window();
        if ($request->kind === RenderRequest::CONTRIBUTIONS) {
            $pictures = $this->renderer->contributions($scene, $window, $request->strips);
            $bytes = implode('', array_map(static fn ($picture): string => $picture->bytes, $pictures));

            return new PaintedReply($window->columns, $window->rows, 0, array_keys($pictures), $bytes);
        }
        $picture = $this->renderer->picture($scene, $window, below: $request->below);

        return new PaintedReply($picture->columns, $picture->rows, $picture->clipped, [], $picture->bytes);
    }
}
