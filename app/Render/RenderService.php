<?php

declare(strict_types=1);

namespace App\Render;

use App\Render\Pool\Dropped;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use Aumbrel\Core\Fault\SceneError;

/** Has requests rendered, whole or in bands as they are done. */
final readonly class RenderService
{
    private const LOOK_SECONDS = 5.0;

    public function __construct(private PoolClient $pool, private Painter $painter)
    {
    }

    /** A picture in bands as they are done, from any place. */
    public function pieces(RenderRequest $request, Ticket $ticket): Pieces
    {
        $window = $request->window();
        $heights = $request->kind === RenderRequest::PICTURE
            ? Bands::heights($window->columns, $window->rows, $request->parts(), $ticket->priority === Priority::Draft) : [$window->rows];

        $bands = $request->bands($heights);

        return new Pieces($this->pool, $this->painter, count($bands) > 1 ? $bands : [$request], $ticket);
    }

    /** @throws SceneError when the scene cannot be rendered */
    public function render(RenderRequest $request, Ticket $ticket): PaintedReply|Dropped
    {
        $pieces = $this->pieces($request, $ticket);
        $came = [];
        while (! $pieces->isDone()) {
            $taken = $pieces->take(self::LOOK_SECONDS);
            if ($taken instanceof Dropped) {
                return $taken;
            }
            array_push($came, ...$taken);
        }

        return Piece::joined($came);
    }
}
