<?php

declare(strict_types=1);

namespace App\Render;

use App\Render\Pool\Dropped;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Priority;
use Aumbrel\Core\Scene\SceneError;

/** Renders by the resident processes, or in this one when they cannot be reached: slower, but right. */
final readonly class RenderService
{
    /** Windows with fewer pixels than this are not worth splitting. */
    private const WORTH_SPLITTING = 60_000;

    private const BANDS = 2;

    public function __construct(private PoolClient $pool, private Painter $painter)
    {
    }

    /** @throws SceneError when the scene cannot be rendered */
    public function render(RenderRequest $request, Priority $priority, string $view = 'once', int $number = 0): PaintedReply|Dropped
    {
        $window = $request->window();
        $splits = $request->kind === RenderRequest::PICTURE && $window->columns * $window->rows >= self::WORTH_SPLITTING;
        $bands = $splits ? $request->bands(self::BANDS) : [$request];

        $bands = $bands === [] ? [$request] : $bands;

        // a process that died in the middle has been replaced by the time of the second try
        return $this->pool->ask($bands, $priority, $view, $number)
            ?? $this->pool->ask($bands, $priority, $view, $number)
            ?? $this->painter->paint($request);
    }
}
