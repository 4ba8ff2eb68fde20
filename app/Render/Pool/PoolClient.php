<?php

declare(strict_types=1);

namespace App\Render\Pool;

use App\Render\PaintedReply;
use App\Render\RenderRequest;
use Aumbrel\Core\Scene\SceneError;

/** Hands requests to the resident render processes. */
final readonly class PoolClient
{
    private const PATIENCE = 60;

    public function __construct(private string $socket)
    {
    }

    /**
     * @param  non-empty-list<RenderRequest>  $bands
     * @param  string  $view  names what is looked at; of two requests for the same one, the lower number is dropped
     * @return PaintedReply|Dropped|null null when the processes cannot be reached
     *
     * @throws SceneError when the scene cannot be rendered
     */
    public function ask(array $bands, Priority $priority, string $view, int $number): PaintedReply|Dropped|null
    {
        $streams = [];
        foreach ($bands as $at => $band) {
            $stream = @stream_socket_client("unix://{$this->socket}", $code, $problem, 1);
            if ($stream === false) {
                return null;
            }
            stream_set_timeout($stream, self::PATIENCE);
            $ticket = json_encode(['priority' => $priority->value, 'view' => $view, 'number' => $number, 'band' => count($bands) > 1 ? $at : null], JSON_THROW_ON_ERROR);
            if (! Frame::send($stream, $ticket) || ! Frame::send($stream, $band->toJson())) {
                return null;
            }
            $streams[] = $stream;
        }
        $replies = [];
        foreach ($streams as $stream) {
            $reply = Frame::receive($stream);
            fclose($stream);
            if ($reply === null) {
                return null;
            }
            $result = $this->read($reply);
            if (! $result instanceof PaintedReply) {
                return $result;
            }
            $replies[] = $result;
        }

        return PaintedReply::joined($replies);
    }

    /** @throws SceneError */
    private function read(string $reply): PaintedReply|Dropped|null
    {
        $rest = substr($reply, 1);
        if ($reply[0] === Answer::Problem->value) {
            /** @var array{field: string, reason: string} $problem */
            $problem = json_decode($rest, true, 8, JSON_THROW_ON_ERROR);
            throw new SceneError($problem['field'], $problem['reason']);
        }

        return match (Answer::tryFrom($reply[0])) {
            Answer::Painted => PaintedReply::unpack($rest),
            Answer::Dropped => new Dropped,
            default => null,
        };
    }
}
