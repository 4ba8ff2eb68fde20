<?php

declare(strict_types=1);

namespace App\Render;

use App\Faults\RenderStopped;
use App\Render\Pool\Dropped;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Reply;
use App\Render\Pool\Ticket;
use App\Render\Pool\Waiting;
use Aumbrel\Core\Fault\SceneError;

/**
 * A picture on its way, in bands. The resident processes render it, or this one does when they cannot be reached: slower,
 * but right. A band whose process died is asked for once more, that band only. Letting the picture go withdraws the rest.
 */
final class Pieces
{
    /** A band that took this many processes with it is not tried a third time. */
    private const TRIES = 2;

    private ?Waiting $waiting;

    /** @var array<int, RenderRequest> bands that have not come */
    private array $left;

    /** @var array<int, int> by band */
    private array $tries = [];

    /** @param  non-empty-array<int, RenderRequest>  $bands */
    public function __construct(private readonly PoolClient $pool, private readonly Painter $painter, array $bands, private readonly Ticket $ticket)
    {
        $this->left = $bands;
        $this->waiting = $pool->begin($bands, $ticket);
    }

    public function isDone(): bool
    {
        return $this->left === [];
    }

    /**
     * What comes in within a time; may be nothing. Where no process is there to wait for, it takes as long as a band takes.
     *
     * @return list<Piece>|Dropped
     *
     * @throws SceneError when the scene cannot be rendered
     */
    public function take(float $seconds): array|Dropped
    {
        if ($this->waiting === null) {
            return $this->paintHere();
        }
        $pieces = [];
        foreach ($this->waiting->take($seconds) as $at => $answer) {
            $read = $answer === null ? null : Reply::read($answer);
            if ($read instanceof Dropped) {
                return $read;
            }
            if ($read instanceof StrokesMissing) {
                $this->left[$at] = $this->with($read, $this->left[$at]);
            } elseif ($read === null) {
                $this->tries[$at] = ($this->tries[$at] ?? 1) + 1;
            } else {
                $pieces[] = $this->taken($at, $read);
            }
        }
        if ($pieces === [] && $this->left !== [] && $this->waiting->isOver()) {
            $this->askAgain();
        }

        return $pieces;
    }

    private function askAgain(): void
    {
        if (max([0, ...array_values(array_intersect_key($this->tries, $this->left))]) > self::TRIES) {
            throw RenderStopped::early();
        }
        $this->waiting = $this->pool->begin($this->left, $this->ticket);
    }

    /** @return list<Piece> */
    private function paintHere(): array
    {
        foreach ($this->left as $at => $band) {
            try {
                return [$this->taken($at, $this->painter->paint($band))];
            } catch (StrokesMissing $missing) {
                $this->left[$at] = $this->with($missing, $band);

                return [];
            }
        }

        return [];
    }

    /** The band with the strokes that were missed; it is asked for again. */
    private function with(StrokesMissing $missing, RenderRequest $band): RenderRequest
    {
        $more = $band->withStrokes($missing->keys);
        if (array_diff_key(array_flip($missing->keys), $more->strokes) !== []) {
            throw RenderStopped::early();
        }

        return $more;
    }

    private function taken(int $at, PaintedReply $painted): Piece
    {
        $piece = new Piece($this->left[$at]->firstRow, $painted);
        unset($this->left[$at]);

        return $piece;
    }
}
