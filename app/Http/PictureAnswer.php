<?php

declare(strict_types=1);

namespace App\Http;

use App\Render\PaintedReply;
use App\Render\Piece;
use App\Render\Pieces;
use App\Render\Pool\Dropped;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as AnyResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Throwable;

/**
 * Hands pictures to whoever looks: frames of the length and the text of a JSON head and, behind it, the pixels of the rows
 * that it names (red, green, blue, alpha). A picture that is quickly done is one frame. A longer one comes band by band as
 * it is done, with frames without rows in between that tell how far it is; those also find out soon when nobody listens
 * any more, which withdraws the rest. The last frame says `done`, or what is wrong.
 *
 * Heads: `columns`, `rows` and `firstRow` of this frame, `of` rows in all, `progress` 0..1, `done`, `clipped` pixels of the
 * whole; `factors` by which what strips add was brightened; `problem` and `field` when it failed, `dropped` when a newer request made it needless.
 */
final readonly class PictureAnswer
{
    /** Whoever gets a picture within this time gets it whole. */
    private const AT_ONCE_SECONDS = 0.15;

    /** How often somebody who waits is told that it goes on. */
    private const WORD_SECONDS = 0.1;

    private const HEADERS = ['Content-Type' => 'application/octet-stream', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no'];

    /**
     * @param  int  $rows  of the whole picture
     * @param  array<string, mixed>  $head  more for the first frame
     */
    public function __construct(private Pieces $pieces, private int $rows, private array $head)
    {
    }

    public function respond(): AnyResponse
    {
        $came = [];
        $until = microtime(true) + self::AT_ONCE_SECONDS;
        do {
            $taken = $this->pieces->take(max(0.0, $until - microtime(true)));
            if ($taken instanceof Dropped) {
                return new Response(status: 204);
            }
            array_push($came, ...$taken);
        } while (! $this->pieces->isDone() && microtime(true) < $until);
        if ($this->pieces->isDone()) {
            return new Response($this->whole($came), 200, self::HEADERS);
        }

        return new StreamedResponse(fn () => $this->stream($came), 200, [...self::HEADERS, 'X-Pieces' => 'yes']);
    }

    /** @param  non-empty-list<Piece>  $pieces */
    private function whole(array $pieces): string
    {
        $painted = Piece::joined($pieces);

        return self::frame([...$this->head, ...self::about($painted, 0, $this->rows), 'done' => true, 'clipped' => $painted->clipped], $painted->bytes);
    }

    /** @param  list<Piece>  $came */
    private function stream(array $came): void
    {
        set_time_limit(0);
        $clipped = $rows = 0;
        $more = $this->head;
        try {
            while (true) {
                foreach ($came as $piece) {
                    $clipped += $piece->painted->clipped;
                    $rows += $piece->painted->rows;
                    $this->send([...$more, ...self::about($piece->painted, $piece->firstRow, $this->rows), 'progress' => $rows / $this->rows, 'done' => false], $piece->painted->bytes);
                    $more = [];
                }
                if ($this->pieces->isDone()) {
                    $this->send(['done' => true, 'clipped' => $clipped, 'progress' => 1]);

                    return;
                }
                $taken = $this->pieces->take(self::WORD_SECONDS);
                if ($taken instanceof Dropped) {
                    $this->send(['done' => true, 'dropped' => true]);

                    return;
                }
                $came = $taken;
                if ($came === []) {
                    $this->send(['done' => false, 'progress' => $rows / $this->rows]);
                }
            }
        } catch (Throwable $error) {
            // the answer has begun, so what is wrong is told in it
            $reply = ErrorReplies::words($error);
            $this->send(['done' => true, 'problem' => $reply['message'], 'field' => $reply['field'] ?? null]);
        }
    }

    /** @return array<string, mixed> */
    private static function about(PaintedReply $painted, int $firstRow, int $of): array
    {
        return ['columns' => $painted->columns, 'rows' => $painted->rows, 'firstRow' => $firstRow, 'of' => $of, ...($painted->factors === [] ? [] : ['factors' => $painted->factors]), ...($painted->strips === [] ? [] : ['strips' => $painted->strips])];
    }

    /** @param  array<string, mixed>  $head */
    private function send(array $head, string $bytes = ''): void
    {
        echo self::frame($head, $bytes);
        flush();
    }

    /** @param  array<string, mixed>  $head */
    private static function frame(array $head, string $bytes): string
    {
        $text = json_encode($head, JSON_THROW_ON_ERROR);
        // the pixels begin on a whole word, so that the browser can use them where they are
        $text = str_pad($text, (int) ceil(strlen($text) / 4) * 4);

        return pack('V', strlen($text)).$text.$bytes;
    }
}
